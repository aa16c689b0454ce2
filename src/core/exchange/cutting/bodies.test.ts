import { describe, expect, it } from "vitest";
import { signedArea } from "../../geometry/contours/loop";
import { GUARD_FORMS, guardOfForm } from "../../knife/design/guards";
import type { Design } from "../../knife/design/schema";
import { DEMO_KNIVES } from "../files/knife/demo.fixtures";
import { drawnPieces } from "./pieceLayers";

/** Pieces that come out as more than one outline, or none: they would be cut apart. */
const apart = (design: Design): string[] =>
  drawnPieces(design).flatMap(({ name, part }) => {
    const outer = part.outlines.filter((l) => signedArea(l) > 0).length;
    return outer === 1 ? [] : [`${name}: ${outer}`];
  });

describe("every piece is cut in one", () => {
  it.each(DEMO_KNIVES)("%s, its blade moved up and down", (_, design) => {
    for (let up = -10; up <= 10; up += 2.5) {
      const spineOverAxisMm = design.blade.spineOverAxisMm + up;
      expect(apart({ ...design, blade: { ...design.blade, spineOverAxisMm } }), `${up}`).toEqual([]);
    }
  });

  it("a domed guard with swept arms, of every form", () => {
    const base = DEMO_KNIVES.map(([, d]) => d).find((d) => d.tang.kind === "hidden")!;
    for (const form of GUARD_FORMS)
      for (const sweepMm of [-8, 0, 14]) {
        const guard = guardOfForm(form, base);
        const domed = { ...guard, domeMm: 2, sweepAboveMm: sweepMm, sweepBelowMm: sweepMm };
        expect(apart({ ...base, guard: domed }), `${form} ${sweepMm}`).toEqual([]);
      }
  });
});
