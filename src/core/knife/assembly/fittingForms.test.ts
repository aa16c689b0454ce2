import { describe, expect, it } from "vitest";
import { integrate } from "../../figures/weigh/integrate";
import { newFastener } from "../../kinds/fasteners/registry";
import { newFitting } from "../../kinds/guardFittings/registry";
import { newGuard } from "../design/guards";
import type { Design, Fastener } from "../design/schema";
import { assemble } from "./assemble";
import { at, bar, fastened, full, hidden, near } from "./closedForms.fixtures";
import { volumes } from "./volumes.fixtures";

describe("fasteners", () => {
  it("a sleeve bolt: barrel, heads, screw, and the bore that is left empty", () => {
    const f = { ...newFastener("sleeve-bolt", "f", at, 4), seatMm: 6, screwLengthMm: 8 } as Extract<
      Fastener,
      { kind: "sleeve-bolt" }
    >;
    const v = volumes(fastened(f));
    const circle = (d: number) => (Math.PI / 4) * d * d;
    const barrel = 12 * circle(f.diameterMm) - 4 * circle(f.screwMm);
    near(v.get("fastener:f"), barrel + 2 * f.headThicknessMm * circle(f.headMm));
    near(v.get("fastener:f:bore"), 4 * circle(f.screwMm));
    near(v.get("fastener:f:plug"), 2 * (10 - 6 - f.headThicknessMm) * circle(f.headMm));
  });

  it("a binding screw: its post and two heads, the screw in the tapped bore, and what the bore leaves empty", () => {
    const f = newFastener("binding-screw", "f", at, 4) as Extract<Fastener, { kind: "binding-screw" }>;
    const circle = (d: number) => (Math.PI * d * d) / 4;
    const v = volumes(fastened(f));
    const empty = (f.boreDepthMm - f.screwLengthMm) * circle(f.screwMm);
    const heads = 2 * f.headThicknessMm * circle(f.headMm);
    near(v.get("fastener:f"), 2 * f.seatMm * circle(f.diameterMm) - empty + heads);
    near(v.get("fastener:f:bore"), empty);
    // The handle is 10 mm thick on each side here: over the heads it is open.
    expect(v.get("fastener:f:plug")).toBeUndefined();
    near(v.get("fastener:f:counterbore"), 2 * (10 - f.seatMm - f.headThicknessMm) * circle(f.headMm));
  });

  it("a domed rivet: a shaft and two half ellipsoids", () => {
    const f = newFastener("rivet", "f", at, 4) as Extract<Fastener, { kind: "rivet" }>;
    const shaft = Math.PI * (f.diameterMm / 2) ** 2 * (20 - 2 * f.letInMm);
    const domes = 2 * (2 / 3) * Math.PI * (f.headMm / 2) ** 2 * f.headHeightMm;
    near(volumes(fastened(f)).get("fastener:f"), shaft + domes, 1e-4);
  });

  it("a blind pin, a nutted rod, cap screws", () => {
    const blind = newFastener("blind-pin", "f", at, 4) as Extract<Fastener, { kind: "blind-pin" }>;
    near(volumes(fastened(blind)).get("fastener:f"), Math.PI * 4 * blind.lengthMm);
    const rod = newFastener("nutted-rod", "f", at, 4) as Extract<Fastener, { kind: "nutted-rod" }>;
    // Threads weigh as rods of their pitch diameter: ISO 68-1.
    const thread = (Math.PI / 4) * (4 - 0.6495 * 0.7) ** 2;
    const nut = ((Math.sqrt(3) / 2) * rod.nutAcrossMm ** 2 - thread) * rod.nutLengthMm;
    near(volumes(fastened(rod)).get("fastener:f"), thread * 2 * (rod.seatMm + rod.nutLengthMm) + 2 * nut);
    const cap = newFastener("cap-screw", "f", at, 4) as Extract<Fastener, { kind: "cap-screw" }>;
    const capThread = (Math.PI / 4) * (cap.diameterMm - 0.6495 * cap.pitchMm) ** 2;
    const head =
      Math.PI * (cap.headMm / 2) ** 2 * cap.headLengthMm -
      (Math.sqrt(3) / 2) * cap.socketMm ** 2 * (cap.headLengthMm / 2);
    near(
      volumes(fastened(cap)).get("fastener:f"),
      2 * (head + capThread * Math.min(cap.screwLengthMm, cap.seatMm)),
    );
  });
});

describe("guards", () => {
  it("layers are each their thickness of the same face; a dowel is half in the guard", () => {
    const plates = [2, 1, 3].map((thicknessMm) => ({ material: "brass-360", thicknessMm, printed: null }));
    const dowels = {
      kind: "dowels" as const,
      diameterMm: 1.6,
      lengthMm: 6,
      spreadMm: 18,
      material: "stainless-304",
    };
    const guard = {
      ...newGuard(hidden),
      plates,
      aboveMm: 15,
      belowMm: 15,
      widthMm: 18,
      roundness: 0,
      fittings: [dowels],
    };
    const v = volumes(bar({}, { ...hidden, guard }));
    const [a, b, c] = [1, 2, 3].map((i) => v.get(`guard:${i}`) ?? 0);
    const face = 30 * 18 - 48;
    near(a, 2 * face);
    near(b, face);
    // Two dowels of 0.8 mm radius reach 3 mm into the plates from behind.
    near(c, 3 * face - 2 * Math.PI * 0.64 * 3);
    // Small round rods are read to a few thousandths of a cubic millimetre.
    near(v.get("fitting:dowels"), 2 * Math.PI * 0.64 * 6, 1e-3);
  });

  it("a knuckle bow clear of guard and handle is its outline's area times its width", () => {
    const bow = { ...newFitting("knuckleBow", "brass-360"), reachMm: 60, widthMm: 7 };
    const design = { ...hidden, guard: { ...newGuard(hidden), fittings: [bow] } };
    const assembly = assemble(design);
    const part = assembly.parts.findIndex((p) => p.id === "fitting:knuckleBow");
    const { regions } = assembly.parts[part];
    const alone = integrate({ ...assembly, parts: [assembly.parts[part]] })[0];
    // Area between its edges by the trapezoid rule, far finer than the integrator's panels.
    const region = assembly.regions[regions[0]];
    const [x0, x1] = region.xRange;
    let area = 0;
    const n = 40_000;
    for (let i = 0; i < n; i++) {
      const ys = region.sliceAt(x0 + ((x1 - x0) * (i + 0.5)) / n)?.ys ?? [];
      for (let k = 0; k + 1 < ys.length; k += 2) area += ((ys[k + 1] - ys[k]) * (x1 - x0)) / n;
    }
    near(alone.v, area * 7, 2e-5);
    // Its ends lie within guard and handle, which take their own space from it.
    const left = volumes(design).get("fitting:knuckleBow") ?? 0;
    expect(left).toBeLessThan(alone.v);
    expect(left).toBeGreaterThan(0.9 * alone.v);
  });

  /** The parallel curve of a convex one of perimeter P encloses P·w + πw² more. @see J. Steiner, 1840 */
  it("a collar's wall is as thick all round: P·w + πw² to the mm", () => {
    const collar = { kind: "collar" as const, lengthMm: 8, wallMm: 1.6, material: "brass-260" };
    const ring = (design: Design) =>
      volumes({ ...design, guard: { ...newGuard(design), fittings: [collar] } }).get("fitting:collar");
    const by = (perimeter: number) => 8 * (perimeter * 1.6 + Math.PI * 1.6 ** 2);
    near(ring(full), by(2 * (24 + 20)));
    const round = (roundness: number, facets: Design["handle"]["facets"] = null): Design => ({
      ...hidden,
      handle: { ...hidden.handle, facets, plan: hidden.handle.plan.map((p) => ({ ...p, roundness })) },
    });
    /** Perimeter of 24 by 20 mm by chords, by the angle of its parameter. */
    const perimeter = (at: (t: number) => readonly [number, number], n = 200_000) => {
      let sum = 0;
      for (let i = 0; i < n; i++) {
        const [a, b] = [at((i / n) * (Math.PI / 2)), at(((i + 1) / n) * (Math.PI / 2))];
        sum += 4 * Math.hypot(b[0] - a[0], b[1] - a[1]);
      }
      return sum;
    };
    for (const roundness of [1, 0.7, 0.35]) {
      const at = (t: number) => [12 * Math.sin(t) ** roundness, 10 * Math.cos(t) ** roundness] as const;
      near(ring(round(roundness)), by(perimeter(at)), 3e-5);
    }
    const eight = Array.from({ length: 8 }, (_, k) => {
      const a = Math.PI / 8 + (k * Math.PI) / 4;
      const most = Math.cos(Math.PI / 8);
      return [(12 * Math.sin(a)) / most, (10 * Math.cos(a)) / most];
    });
    const flats = eight.reduce((sum, [y, z], k) => {
      const [y2, z2] = eight[(k + 1) % 8];
      return sum + Math.hypot(y2 - y, z2 - z);
    }, 0);
    near(ring(round(1, 8)), by(flats));
  });
});

describe("what a finger goes through", () => {
  it("is open as far as the handle reaches, not only as wide as its ring", () => {
    if (hidden.handle.kind !== "stack") throw new Error("no pieces");
    // A ring 6 mm wide, all its bore of 20 mm within a handle that is 20 mm thick.
    const ring = { id: "r", xMm: -80, yMm: 0, boreMm: 20, wallMm: 1, widthMm: 6, material: "brass-260" };
    const short = bar({ lengthMm: 40 });
    const handle = { ...hidden.handle, rings: [ring] };
    const whole = [...volumes(short)].filter(([id]) => id.startsWith("piece:"));
    const bored = volumes({ ...short, handle });
    const lost = whole.reduce((sum, [id, v]) => sum + v - (bored.get(id) ?? 0), 0);
    near(lost, Math.PI * 10 ** 2 * 20);
  });
});

describe("a domed guard", () => {
  it("keeps its arms when they are swept: every face is sheared alike, and shear changes no volume", () => {
    const guard = newGuard(hidden);
    const domed = (sweepMm: number, armWidthMm: number | null) => {
      const v = volumes({
        ...hidden,
        guard: {
          ...guard,
          aboveMm: 45,
          belowMm: 45,
          // The arms begin beyond the blade's height: it takes before the guard.
          bossMm: 24,
          armWidthMm,
          domeMm: guard.plates[0].thicknessMm / 2,
          sweepAboveMm: sweepMm,
          sweepBelowMm: sweepMm / 2,
        },
      });
      return [...v].reduce((sum, [id, mm3]) => (id.startsWith("guard") ? sum + mm3 : sum), 0);
    };
    for (const arm of [null, guard.widthMm / 3]) near(domed(12, arm), domed(0, arm), 2e-5);
    expect(domed(0, null)).toBeGreaterThan(1000);
  });
});
