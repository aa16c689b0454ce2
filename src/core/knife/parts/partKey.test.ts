import { describe, expect, it } from "vitest";
import { DEMO_KNIVES } from "../../exchange/files/knife/demo.fixtures";
import { weigh } from "../../figures/weigh/weigh";
import { assemble } from "../assembly/assemble";
import { CONSTRUCTIONS } from "../design/constructions.fixtures";
import { newDesign } from "../design/create";
import { newGuard } from "../design/guards";
import { newPiece } from "../design/newParts";
import type { Design } from "../design/schema";
import { withTang } from "../starts/constructions";

describe("keys of parts", () => {
  it.each([...DEMO_KNIVES, ...Object.entries(CONSTRUCTIONS)])("%s: one id, one key", (_, design) => {
    const keys = new Map<string, string>();
    for (const { id, key } of assemble(design).parts) {
      const { kind, ...rest } = key;
      const said = JSON.stringify({ kind, ...rest });
      expect(keys.get(id) ?? said, id).toBe(said);
      keys.set(id, said);
    }
  });

  it("cannot be taken by what a maker calls things: a piece called guard, a pin called blade", () => {
    const hidden = withTang(newDesign("Sedge"), "hidden");
    if (hidden.handle.kind !== "stack") throw new Error("no pieces");
    const { handle } = hidden;
    const called = (piece: string, pin: string): Design => ({
      ...hidden,
      guard: newGuard(hidden),
      handle: {
        ...handle,
        pieces: [newPiece(piece, "spacer", "g10", 5), newPiece("rest", "block", "walnut-black", 50)],
      },
      fasteners: [{ kind: "pin", id: pin, xMm: -40, yMm: 0, diameterMm: 4, material: "copper" }],
    });
    const weighed = (design: Design) => {
      const weighing = weigh(design);
      if (!weighing.ok) throw new Error(JSON.stringify(weighing.findings));
      return weighing.report;
    };
    const plain = weighed(called("piece-1", "pin-1"));
    const odd = weighed(called("guard", "blade"));
    expect(odd.massG).toBe(plain.massG);
    expect(odd.balanceMm).toBe(plain.balanceMm);
    expect(odd.parts).toHaveLength(plain.parts.length);
  });
});
