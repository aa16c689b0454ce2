import { describe, expect, it } from "vitest";
import { putAt } from "@/core/base/record/path";
import { CONSTRUCTIONS } from "@/core/knife/design/constructions.fixtures";
import { refusalOf } from "@/core/knife/design/refusal";
import type { Design } from "@/core/knife/design/schema";
import { inputValueWords, inputWords } from "./inputs";
import { fieldWords, problemWords } from "./problems";

/** Keys that lead to every value in a record. */
function keysIn(value: unknown, keys: (string | number)[] = []): (string | number)[][] {
  if (typeof value !== "object" || value === null) return [keys];
  const inner = Array.isArray(value) ? value.map((v, i) => [i, v] as const) : Object.entries(value);
  return [keys, ...inner.flatMap(([key, v]) => keysIn(v, [...keys, key]))];
}

const [plain] = Object.values(CONSTRUCTIONS);
const refused = (path: string, value: unknown) => {
  const design = structuredClone(plain) as Design;
  expect(putAt(design, path, value)).toBe(true);
  const problem = refusalOf(design);
  if (!problem) throw new Error(`${path} is taken`);
  return problem;
};

describe("why a record cannot hold something", () => {
  it("calls no field by its name in the record, of any construction", () => {
    for (const [name, design] of Object.entries(CONSTRUCTIONS))
      for (const keys of keysIn(design)) expect(fieldWords(keys), name).toMatch(/^[A-Z][^A-Z]*$/);
  });

  it("says limits in the maker's units, and counts lists and letters", () => {
    expect(problemWords(refused("blade.lengthMm", 1e6))).toBe("Blade, length: 1200 mm at most");
    expect(problemWords(refused("blade.lengthMm", 1e6), "inch")).toMatch(
      /^Blade, length: 47\.24\d* in at most$/,
    );
    expect(problemWords(refused("blade.riseDeg", -50))).toBe("Blade, rise: -20° at least");
    expect(problemWords(refused("blade.tip.heightShare", 3))).toBe("Blade, tip, height: 150 % at most");
    expect(problemWords(refused("name", "x".repeat(500)))).toMatch(/^Name: \d+ letters at most$/);
    expect(problemWords(refused("handle.outline", []))).toBe("Handle, outline: 4 of them at least");
    expect(problemWords(refused("handle.outline.0.xMm", "far"))).toBe(
      "Handle, outline 1, along the knife is no number",
    );
    expect(problemWords(refused("guard", 7))).toBe("Guard is missing, or damaged");
    expect(problemWords(refused("blade.tip.style", "spoon"))).toBe(
      "Blade, tip, style is none of those that there are",
    );
    expect(problemWords({ keys: [], complaint: { code: "foreign", fields: ["colour"] } })).toBe(
      "The knife holds what no knife has: colour",
    );
  });

  it("has the names that Compare gives its inputs, and shows outlines to nobody", () => {
    expect(fieldWords(["blade", "marks", 0, "art"])).toBe("Blade, mark 1, outlines");
    expect(inputWords("blade.marks.mark-1.art")).toBe("Blade, mark, mark 1: outlines");
    expect(inputValueWords("blade.marks.mark-1.art", "M0 0L1 0L1 1Z", "metric", () => undefined)).toBe(
      "drawn",
    );
  });
});
