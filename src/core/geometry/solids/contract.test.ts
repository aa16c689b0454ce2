import { describe, expect, it } from "vitest";
import { DEMO_KNIVES } from "../../exchange/files/knife/demo.fixtures";
import { assemble } from "../../knife/assembly/assemble";
import { CONSTRUCTIONS } from "../../knife/design/constructions.fixtures";
import type { Region } from "./region";
import type { Slice } from "./slice";

const knives = [...DEMO_KNIVES, ...Object.entries(CONSTRUCTIONS)];

/** Stations of a region away from its ends, where a cut may be nothing. */
function stationsOf({ xRange: [x0, x1] }: Region): number[] {
  const shares = [0.013, 0.17, 0.37, 0.52, 0.71, 0.94, 0.991];
  return Number.isFinite(x1 - x0) && x1 > x0 ? shares.map((t) => x0 + (x1 - x0) * t) : [];
}

/** Heights within a cut, a little inside each stretch's ends; about the axis where y does not limit it. */
function heightsOf({ ys }: Slice): number[] {
  const ends = ys ?? [-8, 8];
  const heights: number[] = [];
  for (let i = 0; i + 1 < ends.length; i += 2) {
    const [a, b] = [Math.max(-200, ends[i]), Math.min(200, ends[i + 1])];
    if (!(b > a)) continue;
    for (const t of [0.02, 0.27, 0.5, 0.81, 0.98]) heights.push(a + (b - a) * t);
  }
  return heights;
}

/** What the integrator relies on in every region: read at every cut of every region of many knives. */
describe.each(knives)("regions of %s", (_, design) => {
  const { regions, parts } = assemble(design);
  const cuts = regions.flatMap((region) =>
    stationsOf(region).flatMap((x) => {
      const slice = region.sliceAt(x);
      return slice ? [{ region, x, slice }] : [];
    }),
  );

  it("are named by parts in order, and each range and break is finite and within it", () => {
    expect(parts.flatMap((p) => p.regions).every((r) => r >= 0 && r < regions.length)).toBe(true);
    const pressed = design.handle.kind === "stack" && design.handle.pieces.some((p) => p.pressedShare > 0);
    for (const part of parts) {
      if (part.materials.length === 0) continue;
      const share = part.materials.reduce((sum, m) => sum + m.share, 0);
      expect(share, part.id).toBeGreaterThan(0);
      if (!pressed) expect(share, part.id).toBeLessThan(1 + 1e-12);
    }
    for (const { breaks } of regions) for (const b of breaks) expect(Number.isFinite(b.x)).toBe(true);
    expect(cuts.length).toBeGreaterThan(regions.length);
  });

  it("have stretches of y in order, and a lower face that is not over the upper one", () => {
    for (const { slice, x } of cuts) {
      const ys = slice.ys ?? [];
      expect(ys.length % 2, `x ${x}`).toBe(0);
      for (let i = 1; i < ys.length; i++) expect(ys[i]).toBeGreaterThanOrEqual(ys[i - 1]);
      for (const y of heightsOf(slice)) {
        const [low, high] = [slice.low(y), slice.high(y)];
        expect(Number.isNaN(low) || Number.isNaN(high), `x ${x} y ${y}`).toBe(false);
        expect(high - low, `x ${x} y ${y}`).toBeGreaterThanOrEqual(-1e-9);
      }
    }
  });

  it("are the same at every height where they say they are flat", () => {
    for (const { slice } of cuts.filter((c) => c.slice.flat)) {
      const [first, ...others] = heightsOf(slice);
      for (const y of others) {
        expect(slice.low(y)).toBe(slice.low(first));
        expect(slice.high(y)).toBe(slice.high(first));
      }
    }
  });

  it("pass through a height where they say that they cross it", () => {
    for (const { slice, x } of cuts) {
      for (const y of heightsOf(slice)) {
        for (const z of [slice.low(y), slice.high(y)]) {
          if (!Number.isFinite(z)) continue;
          for (const at of slice.crossings?.(z) ?? []) {
            const ys = slice.ys;
            if (ys && (at < ys[0] || at > ys[ys.length - 1])) continue;
            const off = Math.min(Math.abs(slice.low(at) - z), Math.abs(slice.high(at) - z));
            expect(off, `x ${x} y ${at} z ${z}`).toBeLessThan(1e-6);
          }
        }
      }
    }
  });

  it("close in zones whose variable runs back and forth, with the slope it tells", () => {
    for (const { slice, x } of cuts) {
      for (const zone of slice.zones) {
        expect(zone.y1).toBeGreaterThan(zone.y0);
        expect([zone.y0, zone.y1]).toContain(zone.outerY);
        const at = (t: number) => zone.toParameter(zone.y0 + (zone.y1 - zone.y0) * t);
        for (const t of [0.2, 0.5, 0.8]) {
          const s = at(t);
          const y = zone.yAt(s);
          const { jacobian: told } = zone;
          expect(y, `x ${x}`).toBeCloseTo(zone.y0 + (zone.y1 - zone.y0) * t, 6);
          const h = 1e-5 * Math.max(1, Math.abs(s));
          const slope = Math.abs(zone.yAt(s + h) - zone.yAt(s - h)) / (2 * h);
          expect(told, `x ${x}`).toBeCloseTo(slope, 4);
        }
      }
    }
  });
});

describe("regions that a mesh kernel cuts by planes or drills", () => {
  const told = knives.flatMap(([, design]) => assemble(design).regions);

  it("are on the inner side of all their planes, and only there", () => {
    let seen = 0;
    for (const region of told) {
      if (region.kind !== "half-spaces") continue;
      for (const x of stationsOf(region)) {
        const slice = region.sliceAt(x);
        if (!slice) continue;
        for (const y of heightsOf(slice)) {
          for (const z of [-30, -4.1, -0.3, 0.2, 2.7, 11]) {
            const inside = slice.low(y) < z && z < slice.high(y);
            const reach = region.planes.map(
              ({ normal: [a, b, c], offsetMm }) => a * x + b * y + c * z - offsetMm,
            );
            if (reach.some((r) => Math.abs(r) < 1e-6)) continue;
            expect(inside, `x ${x} y ${y} z ${z}`).toBe(reach.every((r) => r < 0));
            seen++;
          }
        }
      }
    }
    expect(seen).toBeGreaterThan(1000);
  });

  it("are as wide as a drill's circle at each station", () => {
    const drills = told.flatMap((r) => (r.kind === "cylinder" && r.cylinder.radiusMm > 0 ? [r] : []));
    expect(drills.length).toBeGreaterThan(100);
    for (const region of drills) {
      const { xMm, yMm, radiusMm } = region.cylinder;
      for (const x of stationsOf(region)) {
        const ys = region.sliceAt(x)?.ys ?? [];
        for (const y of ys) expect(Math.hypot(x - xMm, y - yMm)).toBeCloseTo(radiusMm, 9);
      }
    }
  });
});
