import { describe, expect, it } from "vitest";
import { DEMO_KNIVES } from "../../exchange/files/knife/demo.fixtures";
import { FASTENER_KINDS } from "../../kinds/fasteners/registry";
import { newDesign } from "../../knife/design/create";
import { withTang } from "../../knife/starts/constructions";
import { checkDesign } from "../../knife/validity/checkDesign";
import { placedFastener } from "./placeFastener";
import { reviewDesign } from "./reviewDesign";

const sound = newDesign("Sedge");
const plain: [string, typeof sound][] = [
  ["a full tang", sound],
  ["a hidden tang", withTang(sound, "hidden")],
  ["a framed tang", withTang(sound, "framed")],
];

const warned = (design: typeof sound) =>
  reviewDesign(design, true)
    .findings.filter((f) => f.severity !== "note")
    .map((f) => `${f.rule} ${f.subject}`);

describe("a new knife", () => {
  it.each(plain)("with %s starts without a finding", (_, design) => {
    expect(checkDesign(design)).toEqual([]);
    expect(warned(design)).toEqual([]);
  });
});

describe("a new fastener", () => {
  it.each(FASTENER_KINDS)("%s lands where nothing stands against it", (kind) => {
    for (const [name, design] of plain) {
      const fasteners = [...design.fasteners, placedFastener(design, kind, "new-1")];
      const next = { ...design, fasteners };
      expect(
        checkDesign(next).filter((f) => f.severity === "error"),
        name,
      ).toEqual([]);
      // Hammered over, wood splits wherever a rivet stands.
      const splits = kind === "rivet" ? ["peened-on-soft new-1"] : [];
      expect(warned(next), name).toEqual([...warned(design), ...splits]);
    }
  });

  it("has the sizes that suit its place, where its usual ones do not", () => {
    // A parer's thin handle: usual sizes stood too near its edges, or their heads proud of it.
    const [, parer] = DEMO_KNIVES.find(([name]) => name === "orchard-parer.json")!;
    const before = warned(parer);
    for (const kind of ["pin", "patterned-pin", "blind-pin"] as const) {
      const next = { ...parer, fasteners: [...parer.fasteners, placedFastener(parer, kind, "new-1")] };
      expect(warned(next), kind).toEqual(before);
      expect(next.fasteners.at(-1)?.kind).toBe(kind);
    }
    const [, rook] = DEMO_KNIVES.find(([name]) => name === "rook-hunter.json")!;
    const pin = placedFastener(rook, "pin", "new-1");
    expect(warned({ ...rook, fasteners: [...rook.fasteners, pin] })).toEqual(warned(rook));
  });

  it.each(DEMO_KNIVES)("is no worse for %s than it must be: a pin stands where it can", (_, design) => {
    const next = { ...design, fasteners: [...design.fasteners, placedFastener(design, "pin", "new-1")] };
    expect(checkDesign(next).filter((f) => f.severity === "error")).toEqual([]);
  });
});
