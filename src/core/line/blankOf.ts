import type { Design } from "../knife/design/schema";

type Fastener = Design["fasteners"][number];

/** What a fastener is made of: the fields of its record that name a material. */
const madeOf = (fastener: Fastener): Partial<Fastener> =>
  Object.fromEntries(Object.entries(fastener).filter(([field]) => /material$/i.test(field)));

/**
 * A knife on the blank of another one: its blade and tang, and every fastener where the other has it, in its size. What a
 * fastener is made of stays where both have one of the same kind; handle, guard and all else stay.
 */
export function withBlankOf(design: Design, other: Design): Design {
  const mine = new Map(design.fasteners.map((f) => [f.id, f]));
  return {
    ...design,
    blade: other.blade,
    tang: other.tang,
    fasteners: other.fasteners.map((f) => {
      const before = mine.get(f.id);
      return before?.kind === f.kind ? ({ ...f, ...madeOf(before) } as Fastener) : f;
    }),
  };
}
