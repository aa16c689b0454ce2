import { describe, expect, it } from "vitest";
import { DEMO_KNIVES } from "@/core/exchange/files/knife/demo.fixtures";
import type { PartWeight } from "@/core/figures/weigh/report";
import { weigh } from "@/core/figures/weigh/weigh";
import type { PartKey, Side } from "@/core/knife/parts/partKey";
import { overlap } from "../drawing/labels";
import { type Resting, settle, settled, tipDeg } from "./settle";
import { BAR_PX, barName, barsOf, labelsOf, partsInOrder } from "./stripBars";

const part = (id: string, key: PartKey, massG: number, x: number): PartWeight => ({
  id,
  key,
  group: "handle",
  material: "walnut-black",
  volumeMm3: 1,
  massG,
  centreMm: [x, 0, 0],
});

const scale = (side: Side): PartKey => ({ kind: "scale", number: null, side });
const pin: PartKey = { kind: "fastener", sort: "pin", id: "pin-1", component: null };

describe("the bars of the strip", () => {
  const scales = [part("r", scale("right"), 20, -50), part("l", scale("left"), 20.5, -50)];

  it("stand on each other where they would overlap, the heaviest at the bottom", () => {
    const [bar, ...more] = barsOf(scales, (x) => 2 * x + 300);
    expect(more).toEqual([]);
    expect(bar).toMatchObject({ xPx: 200, massG: 40.5 });
    expect(bar.pieces.map((p) => p.id)).toEqual(["l", "r"]);
    expect(barName(bar)).toBe("Scales");
  });

  it("keep their distance otherwise, from butt to tip; what weighs nothing has none", () => {
    const parts = [part("a", pin, 4, 0), part("b", pin, 4, -BAR_PX), part("c", pin, 0, -60)];
    expect(barsOf(parts, (x) => x).map((b) => b.pieces[0].id)).toEqual(["b", "a"]);
    expect(partsInOrder(barsOf([...parts, ...scales], (x) => x)).map((p) => p.id)).toEqual([
      "l",
      "r",
      "b",
      "a",
    ]);
    expect(barsOf([], (x) => x)).toEqual([]);
  });

  it("are named shortly", () => {
    const bar = barsOf(
      [
        ...scales,
        part("g", { kind: "guard", number: null }, 1, -50),
        part("f", { kind: "tang-hole" }, 2, -50),
      ],
      (x) => x,
    );
    expect(barName(bar[0])).toBe("Scales and 2 more");
  });
});

describe("names over the bars", () => {
  const [width, beamY] = [900, 300];

  it.each(DEMO_KNIVES)("of %s lie over no bar and not over each other", (_, design) => {
    const weighing = weigh(design);
    if (!weighing.ok) throw new Error("not weighed");
    const parts = weighing.report.parts;
    const xs = parts.map((p) => p.centreMm[0]);
    const [low, high] = [Math.min(...xs) - 20, Math.max(...xs) + 60];
    const bars = barsOf(parts, (mm) => ((mm - low) / (high - low)) * width);
    const pxPerG = 220 / Math.max(...bars.map((b) => b.massG));
    const labels = [...labelsOf(bars, (b) => [barName(b), "123.4 g"], { beamY, pxPerG, width })];
    expect(labels.length).toBeGreaterThan(1);
    for (const [bar, box] of labels) {
      for (const other of bars) {
        const h = other.massG * pxPerG;
        const block = { x: other.xPx - BAR_PX / 2, y: beamY - h, w: BAR_PX, h };
        expect(overlap(box, block), `${barName(bar)} over ${barName(other)}`).toBe(false);
      }
      for (const [other, there] of labels)
        if (other !== bar) expect(overlap(box, there), `${barName(bar)} and ${barName(other)}`).toBe(false);
    }
    // The heaviest always has its name.
    const heaviest = bars.reduce((a, b) => (b.massG > a.massG ? b : a));
    expect(labels.some(([bar]) => bar === heaviest)).toBe(true);
  });
});

describe("the beam settling", () => {
  const run = (from: Resting, to: number, seconds: number, step: number) => {
    let at = from;
    for (let t = 0; t < seconds; t += step) at = settle(at, to, step);
    return at;
  };
  const start = { atMm: -40, speedMmS: 0 };

  it("comes to rest level under the balance point within a second, however the frames fall", () => {
    for (const step of [1 / 240, 1 / 60, 1 / 12]) {
      const end = run(start, -25, 1, step);
      expect(settled(end, -25), `${step}`).toBe(true);
      expect(tipDeg(end, -25)).toBe(0);
    }
  });

  /** A damped spring of ratio 0.7 overshoots by exp(−πζ/√(1−ζ²)) = 4.6 %. @see any text on vibrations. */
  it("swings past by a twentieth at most", () => {
    let far = start.atMm;
    for (let at = start, t = 0; t < 1; t += 1 / 480) {
      at = settle(at, 60, 1 / 480);
      far = Math.max(far, at.atMm);
    }
    expect(far).toBeGreaterThan(60 + 0.03 * 100);
    expect(far).toBeLessThan(60 + 0.055 * 100);
  });

  it("dips toward where the weight went", () => {
    expect(tipDeg(start, -25)).toBeGreaterThan(0);
    expect(tipDeg(start, -55)).toBeLessThan(0);
    expect(Math.abs(tipDeg(start, 5000))).toBeLessThanOrEqual(5);
  });

  it("is not thrown off by a long stall or by what is no number", () => {
    const after = settle({ atMm: 0, speedMmS: 500 }, 10, 60);
    expect(Math.abs(after.atMm - 10)).toBeLessThan(10);
    expect(settle({ atMm: Number.NaN, speedMmS: 0 }, 10, 0.01)).toEqual({ atMm: 10, speedMmS: 0 });
  });
});
