import { describe, expect, it } from "vitest";
import { putAt, valueAt } from "../../base/record/path";
import { DEMO_KNIVES } from "../../exchange/files/knife/demo.fixtures";
import { CONSTRUCTIONS } from "../../knife/design/constructions.fixtures";
import { newDesign } from "../../knife/design/create";
import { limitsAt } from "../../knife/design/limits";
import type { Design } from "../../knife/design/schema";
import { differingInputs } from "./inputs";
import { differingTraits } from "./traits";

/** Paths of all numbers and switches in a value. */
function inputsIn(value: unknown, path: string): string[] {
  if (typeof value === "number" || typeof value === "boolean") return [path];
  if (typeof value !== "object" || value === null) return [];
  return Object.entries(value).flatMap(([key, inner]) => inputsIn(inner, `${path}.${key}`));
}

const COMPARED = ["blade", "tang", "handle", "guard", "fasteners"] as const;

describe("what two knives differ in", () => {
  it("is nothing of a knife and itself, however its items are called", () => {
    for (const [, design] of DEMO_KNIVES)
      expect(differingInputs([design, structuredClone(design)])).toEqual([]);
    expect(differingInputs([newDesign("One")])).toEqual([]);
  });

  it.each(Object.entries(CONSTRUCTIONS))(
    "%s: is named, whatever number or switch is changed",
    (_, design) => {
      for (const field of COMPARED)
        for (const path of inputsIn(design[field], field)) {
          const other = structuredClone(design) as Design;
          const value = valueAt(design, path);
          const limits = limitsAt(design, path);
          const to =
            typeof value === "boolean" ? !value : value === limits?.high ? limits?.low : limits?.high;
          if (to === undefined) continue;
          putAt(other, path, to);
          const both = [design, other];
          expect(differingTraits(both).length + differingInputs(both).length, path).toBeGreaterThan(0);
        }
    },
  );

  it("a bevel from 15 to 40 mm: the bevel, from what to what", () => {
    const design = newDesign("Sedge");
    const bevelled = (lengthMm: number): Design => ({
      ...design,
      handle: { ...design.handle, frontBevel: { lengthMm, angleDeg: 45 } } as Design["handle"],
    });
    expect(differingInputs([bevelled(15), bevelled(40)])).toEqual([
      { path: "handle.frontBevel.lengthMm", values: [15, 40] },
    ]);
    const none = { ...design, handle: { ...design.handle, frontBevel: null } as Design["handle"] };
    expect(differingInputs([bevelled(15), none])).toEqual([
      { path: "handle.frontBevel.lengthMm", values: [15, undefined] },
      { path: "handle.frontBevel.angleDeg", values: [45, undefined] },
    ]);
  });
});
