import { expect, it } from "vitest";
import { flattened, signedArea } from "../../geometry/contours/loop";
import type { Point } from "../../geometry/curve/bezier";
import { DEMO_KNIVES } from "../files/knife/demo.fixtures";
import { AS_DRAWN } from "./cutSettings";
import { drawnPieces, FOLLOWED_MM, pieceLayer } from "./pieceLayers";

/** How far a place lies from a closed chord line, by the definition of distance. */
function distance(p: Point, line: readonly Point[]): number {
  let least = Number.POSITIVE_INFINITY;
  line.forEach((a, i) => {
    const b = line[(i + 1) % line.length];
    const [dx, dy] = [b.x - a.x, b.y - a.y];
    const along = ((p.x - a.x) * dx + (p.y - a.y) * dy) / (dx * dx + dy * dy || 1);
    const t = Math.min(1, Math.max(0, along));
    least = Math.min(least, Math.hypot(p.x - a.x - t * dx, p.y - a.y - t * dy));
  });
  return least;
}

/** Every place of a cut outline is so far from the drawn one as half the kerf and the allowance say: round corners, too. */
it.each(DEMO_KNIVES)("%s: kerf and allowance are what was asked for, all round", (_, design) => {
  for (const piece of drawnPieces(design))
    for (const [kerfMm, allowanceMm] of [
      [0.4, 0],
      [0.2, 0.1],
      [0, 0.5],
    ]) {
      const outer = (settings: typeof AS_DRAWN) =>
        pieceLayer(piece, settings)
          .loops.filter((l) => signedArea(l) > 0)
          .map((l) => flattened(l, 0.0005));
      const [drawn, cut] = [outer(AS_DRAWN), outer({ ...AS_DRAWN, kerfMm, allowanceMm })];
      expect(cut.length, piece.name).toBe(drawn.length);
      const wanted = kerfMm / 2 + allowanceMm;
      for (const p of cut.flat()) {
        const off = Math.min(...drawn.map((line) => distance(p, line)));
        expect(Math.abs(off - wanted), `${piece.name} at ${p.x}, ${p.y}`).toBeLessThan(FOLLOWED_MM);
      }
    }
});
