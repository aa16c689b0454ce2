import type { Design } from "../knife/design/schema";

type Fastener = Design["fasteners"][number];

/** What a fastener is made of: the fields of its record that name a material. */
const madeOf = (fastener: Fastener): Partial<Fastener> =>
  Object.fromEntries(Object.entries(fastener).filter(([field]) => /material$/i.test(field)));

/** Every text in a record, such as the ids of what something is made of. */
function textsIn(value: unknown): string[] {
  if (typeof value === "string") return [value];
  return typeof value === "object" && value !== null ? Object.values(value).flatMap(textsIn) : [];
}

/**
 * A knife on the blank of another one: its blade and tang, and every fastener where the other has it, in its size, with the
 * maker's own materials that these are of. What a fastener is made of stays where both have one of the same kind; handle,
 * guard and all else stay.
 */
export function withBlankOf(design: Design, other: Design): Design {
  const mine = new Map(design.fasteners.map((f) => [f.id, f]));
  const fasteners = other.fasteners.map((f) => {
    const before = mine.get(f.id);
    return before?.kind === f.kind ? ({ ...f, ...madeOf(before) } as Fastener) : f;
  });
  const { blade, tang } = other;
  const named = new Set(textsIn([blade, tang, fasteners]));
  const brought = other.materials.filter(
    (m) => named.has(m.id) && !design.materials.some((own) => own.id === m.id),
  );
  return { ...design, blade, tang, fasteners, materials: [...design.materials, ...brought] };
}
