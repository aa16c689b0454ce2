import { describe, expect, it } from "vitest";
import { EDIT_EXAMPLES } from "@/core/edit/edits.fixtures";
import { type KeptEdit, keptEdit, noted } from "@/core/edit/kept";
import { planPoints, sidePoints } from "@/core/edit/points/pointsOf";
import { CONSTRUCTIONS } from "@/core/knife/design/constructions.fixtures";
import { newDesign } from "@/core/knife/design/create";
import { editWords } from "./edits";
import { fieldName } from "./fields";
import { pointWords } from "./points";

const plain = newDesign("Sedge");
/** What no maker says: names of record fields, and holes in a sentence. */
const OURS = /[a-z][A-Z]|undefined|null|NaN|\[object|\*|\b(Mm|Deg)\b/;

describe("what undo says of an edit", () => {
  it.each(Object.entries(EDIT_EXAMPLES))("%s", (_, [design, edit]) => {
    const says = editWords(edit, design, "metric");
    expect(says).toMatch(/^[A-Z]\S/);
    expect(says).not.toMatch(OURS);
    // What is kept of it says the same, whichever knife is on the bench by then.
    expect(editWords(keptEdit(edit), design, "metric")).toBe(says);
    expect(editWords(keptEdit(edit), plain, "metric")).not.toMatch(OURS);
  });

  it("is worded when it is shown: in the units that are read then", () => {
    const pull = { code: "pull", amounts: { spine: -0.5 } };
    expect(editWords(pull, plain, "metric")).toBe("Blade's thickness −0.5 mm");
    expect(editWords(pull, plain, "inch")).toMatch(/^Blade's thickness −0\.020? in$/);
  });

  it("of before edits were data is what was kept then", () => {
    expect(editWords(noted("Change spine"), plain, "metric")).toBe("Change spine");
    expect(editWords(noted(""), plain, "metric")).toBe("change");
  });

  it("is a plain word for what comes from elsewhere and makes no sense here", () => {
    const strange: KeptEdit[] = [
      { code: "no-such-edit" },
      { code: "constructor" },
      { code: "set", path: 4 },
      { code: "add", list: { a: 1 }, kind: "toString" },
      { code: "move-point", name: { point: "notch", purpose: 9 } },
      { code: "move-point", name: { point: "nothing" } },
      { code: "move-point", name: "tip" },
      { code: "job-state", state: "__proto__" },
      { code: "pull", amounts: [1] },
      { code: "thread" },
    ];
    for (const edit of strange) {
      const says = editWords(edit, plain, "metric");
      expect(says, JSON.stringify(edit)).toBeTypeOf("string");
      expect(says, JSON.stringify(edit)).not.toMatch(OURS);
    }
  });
});

describe("names of a knife's points and fields", () => {
  it("are words, whatever knife it is", () => {
    for (const design of [...Object.values(CONSTRUCTIONS), plain])
      for (const step of ["blade", "tang", "handle", "guard", "pins"])
        for (const p of [...sidePoints(design, step, null), ...planPoints(design, step)]) {
          expect(pointWords(p.name), p.id).toMatch(/^[A-Z]/);
          expect(pointWords(p.name), p.id).not.toMatch(OURS);
          for (const f of p.fields) {
            expect(fieldName(f.path, design), f.path).not.toMatch(OURS);
            expect(fieldName(f.path, design), f.path).not.toBe("Value");
          }
        }
  });

  it("are there for every number of every knife", () => {
    const walk = (value: unknown, path: string, design: typeof plain): string[] => {
      if (typeof value === "number") return fieldName(path, design) === "Value" ? [path] : [];
      if (typeof value !== "object" || value === null) return [];
      return Object.entries(value).flatMap(([k, v]) => walk(v, path ? `${path}.${k}` : k, design));
    };
    const without = [...Object.values(CONSTRUCTIONS), plain].flatMap(({ materials: _, ...design }) =>
      walk(design, "", design as typeof plain),
    );
    // Lists of plain numbers are one field each.
    expect(without.filter((p) => !/^workshop\.(cuttersMm|grinders)|\.art\./.test(p))).toEqual([]);
  });
});
