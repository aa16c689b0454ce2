import { describe, expect, it } from "vitest";
import { enclosedArea, polyline, signedDistance } from "../../geometry/curve/crossing";
import { withButt } from "../design/butts";
import { CONSTRUCTIONS } from "../design/constructions.fixtures";
import { newDesign } from "../design/create";
import { handleCurve } from "./handleOutline";
import { insetOutline } from "./insetOutline";

const sound = newDesign("Sedge");
const OUTLINES = {
  rounded: sound.handle.outline,
  "bird's head": withButt(sound.handle.outline, "birds-head"),
  hooked: withButt(sound.handle.outline, "hooked"),
  fishtail: withButt(sound.handle.outline, "fishtail"),
  "finger grooves": CONSTRUCTIONS["finger grooves"].handle.outline,
};

describe("the outline a rim inside the handle's", () => {
  /** Counted on a grid: all that lies a rim or more away from the handle's edge, behind the station. */
  it.each(Object.entries(OUTLINES))(
    "%s: holds all that is clear of the rim, and nothing else",
    (_, nodes) => {
      const run = handleCurve(nodes);
      const edge = polyline(run, 24);
      // The front face is no edge: moved out of the way.
      const open = [...edge, { x: 500, y: edge[edge.length - 1].y }, { x: 500, y: edge[0].y }];
      for (const [rim, fromX] of [
        [4, -25],
        [6.5, -40],
      ]) {
        const inner = insetOutline(run, rim, fromX);
        if (!inner) throw new Error("no room");
        const step = 0.4;
        let [area, moment] = [0, 0];
        for (let x = fromX - step / 2; x > -125; x -= step)
          for (let y = -36 + step / 2; y < 24; y += step) {
            const clear = -signedDistance(open, { x, y }) - rim;
            const share = Math.max(0, Math.min(1, 0.5 + clear / step));
            area += share * step * step;
            moment += share * step * step * x;
          }
        const found = enclosedArea(polyline(inner.cubics, 40));
        expect(Math.abs(found / area - 1), `${found} ${area}`).toBeLessThan(0.002);
        const points = polyline(inner.cubics, 24);
        const least = Math.min(...points.map((p) => -signedDistance(open, p)));
        expect(least).toBeGreaterThan(rim - 0.02);
        expect(Math.max(...points.map((p) => p.x))).toBeCloseTo(fromX, 3);
        expect(moment).toBeLessThan(0);
      }
    },
  );

  it("is none where the rim leaves nothing", () => {
    expect(insetOutline(handleCurve(sound.handle.outline), 16, -30)).toBeNull();
    expect(insetOutline(handleCurve(sound.handle.outline), 4, -300)).toBeNull();
  });
});
