import { describe, expect, it } from "vitest";
import { CONSTRUCTIONS } from "./constructions.fixtures";
import { newGrip } from "./grips";
import { fieldProblem } from "./problem";
import { refusalOf } from "./refusal";
import { type Design, designSchema } from "./schema";

const [plain] = Object.values(CONSTRUCTIONS);

/** What the whole schema says of it. */
function told(design: Design) {
  const read = designSchema.safeParse(design);
  if (read.success) return null;
  const [issue] = read.error.issues;
  return fieldProblem(issue);
}

describe("what no record may hold", () => {
  it.each(Object.entries(CONSTRUCTIONS))("%s: nothing, the first time and the next", (_, design) => {
    expect(refusalOf(design)).toBeNull();
    expect(refusalOf({ ...design, notes: "Again." })).toBeNull();
  });

  it("is told as the whole schema tells it, though the rest was read before", () => {
    expect(refusalOf(plain)).toBeNull();
    const wrong: Design[] = [
      { ...plain, name: "" },
      { ...plain, blade: { ...plain.blade, lengthMm: 1e6 } },
      { ...plain, handle: { ...plain.handle, outline: [] } },
      {
        ...plain,
        fasteners: [...plain.fasteners, { kind: "wish" } as unknown as Design["fasteners"][number]],
      },
      { ...plain, use: { ...plain.use, grips: [newGrip("grip-1", "Working", Number.NaN)] } },
      { ...plain, guard: undefined as unknown as null },
    ];
    for (const design of wrong) {
      const refused = refusalOf(design);
      expect(refused).not.toBeNull();
      expect(refused).toEqual(told(design));
      // What is refused is not taken for sound the next time.
      expect(refusalOf(design)).toEqual(refused);
    }
  });

  it("is a field that no knife has", () => {
    expect(refusalOf({ ...plain, colour: "red" } as Design)).toEqual({
      keys: [],
      complaint: { code: "foreign", fields: ["colour"] },
    });
  });
});
