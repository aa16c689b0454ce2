import { describe, expect, it } from "vitest";
import { CONSTRUCTIONS } from "../../knife/design/constructions.fixtures";
import type { Design } from "../../knife/design/schema";
import { fixedRecord } from "../../products/fixedRecord";
import { weigh } from "./weigh";
import { weighAlike } from "./weighAlike";

const { notWeighed } = fixedRecord;

describe("designs that share what is weighed", () => {
  it.each(Object.entries(CONSTRUCTIONS))(
    "%s: weigh the same under another name, for another use, with other notes",
    (_, design) => {
      const other: Design = {
        ...design,
        name: "Another",
        notes: "Heavier than it looks.",
        use: {
          ...design.use,
          grips: design.use.grips.map((g) => ({ ...g, xMm: g.xMm - 7 })),
          massG: { low: 1, high: 2 },
        },
      };
      expect(weighAlike(design, other, notWeighed)).toBe(true);
      expect(weigh(other)).toEqual(weigh(design));
    },
  );

  it("are told from those that do not, whatever record was changed", () => {
    const [design] = Object.values(CONSTRUCTIONS);
    for (const key of ["blade", "tang", "handle", "guard", "fasteners", "meshes", "fitUp", "work"] as const)
      expect(
        weighAlike(design, { ...design, [key]: structuredClone(design[key] ?? {}) } as Design, notWeighed),
        key,
      ).toBe(false);
  });
});
