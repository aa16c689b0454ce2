import { describe, expect, it } from "vitest";
import { seeded } from "../../../../faults/random";
import { bar, measured, outlineOf } from "./barBlade.fixtures";
import type { Grind, SideGrind } from "./grind";

/**
 * The blade of docs/method.md, summed over small squares from its formulas, written anew: nothing of the code that it is
 * held against is used. It is 100 mm long, its spine level at 30 mm; its edge runs level to 60 mm and straight up from
 * there to the tip at the spine.
 */
const [LENGTH, SPINE, HEIGHT, BELLY] = [100, 30, 30, 60];
const edgeAt = (x: number) => (x < BELLY ? 0 : (HEIGHT * (x - BELLY)) / (LENGTH - BELLY));
const tan = (deg: number) => Math.tan((deg * Math.PI) / 180);

interface Told {
  readonly right: Grind;
  /** The left side's own, or null where both are alike. */
  readonly left: SideGrind | null;
  readonly stock: number;
  readonly tip: number;
  readonly edge: number;
  readonly taperFrom: number;
  readonly ricasso: number;
  readonly falseEdge: { length: number; runOut: number; height: number; leaves: number } | null;
  readonly sharpened: number | null;
}

/** The arc of radius R through (0, a) and (f, b) that lies under its chord, at v. */
function arcUnder(radius: number, f: number, a: number, b: number, v: number): number {
  const [dx, dz] = [f, b - a];
  const chord = Math.sqrt(dx * dx + dz * dz);
  const off = Math.sqrt(radius * radius - (chord * chord) / 4);
  // The centre stands off the chord's middle on the outer side of the face.
  const [cx, cz] = [f / 2 - (off * dz) / chord, (a + b) / 2 + (off * dx) / chord];
  return cz - Math.sqrt(radius * radius - (v - cx) ** 2);
}

/** How far one side stands from the centre plane. `alone`: the other side is not ground. */
function halfOf(t: Told, grind: Grind, alone: boolean, x: number, y: number): number {
  const T = t.stock + (t.tip - t.stock) * Math.max(0, (x - t.taperFrom) / (LENGTH - t.taperFrom));
  const e = Math.min(t.edge, T);
  const edgeY = edgeAt(x);
  const high = SPINE - edgeY;
  // From the foot of a face to its top: half the thickness of both sides, or all of it over the other side's flat.
  const zero = alone ? (grind.kind === "single-bevel" ? -t.stock / 2 : -T / 2) : 0;
  const [foot, top] = alone ? [zero + e, zero + T] : [e / 2, T / 2];
  const on = (v: number, f: number): number => {
    if (v >= f) return top;
    if (grind.kind === "convex") return foot + (top - foot) * (v / f + (grind.bulge * v * (f - v)) / (f * f));
    if (grind.kind === "hollow" || grind.kind === "double-hollow")
      return arcUnder(grind.wheelRadiusMm, f, foot, top, v);
    if (grind.kind === "lens") {
      const rise = Math.min(top - foot, f);
      const radius = (f * f + rise * rise) / (2 * rise);
      return top - (radius - Math.sqrt(radius * radius - (f - v) ** 2));
    }
    return foot + ((top - foot) * v) / f;
  };
  let z: number;
  if (grind.kind === "none") z = T / 2;
  else if ("ridgeShare" in grind) {
    const ridge = edgeY + grind.ridgeShare * high;
    z = y < ridge ? on(y - edgeY, ridge - edgeY) : on(SPINE - y, SPINE - ridge);
  } else z = on(y - edgeY, "heightMm" in grind ? Math.min(grind.heightMm, high) : high);
  return z;
}

/** The stretch of z that is steel at (x, y). */
function steelAt(t: Told, x: number, y: number): readonly [number, number] {
  if (x < t.ricasso) return [-t.stock / 2, t.stock / 2];
  const single = t.right.kind === "single-bevel";
  const left: Grind = single ? { kind: "none" } : (t.left ?? (t.right as SideGrind));
  const isNone = (g: Grind) => g.kind === "none";
  const T = t.stock + (t.tip - t.stock) * Math.max(0, (x - t.taperFrom) / (LENGTH - t.taperFrom));
  const side = (grind: Grind, other: Grind, flat: boolean) => {
    const alone = !isNone(grind) && isNone(other);
    const plain = (at: number) => (flat ? t.stock / 2 : halfOf(t, grind, alone, x, at));
    let z = plain(y);
    const f = t.falseEdge;
    if (f && x > LENGTH - f.length) {
      const grown = f.runOut > 0 ? Math.min(1, (x - (LENGTH - f.length)) / f.runOut) : 1;
      const h = Math.min(f.height * grown, 0.9 * (SPINE - edgeAt(x)));
      const from = SPINE - h;
      if (y > from) z = Math.min(z, f.leaves / 2 + ((plain(from) - f.leaves / 2) * (SPINE - y)) / h);
    }
    if (t.sharpened !== null && !(isNone(grind) && !isNone(other))) {
      const zero = alone ? (single ? -t.stock / 2 : -T / 2) : 0;
      z = Math.min(z, zero + (y - edgeAt(x)) * tan(t.sharpened));
      if ("ridgeShare" in grind) z = Math.min(z, zero + (SPINE - y) * tan(t.sharpened));
    }
    return z;
  };
  return [-side(left, t.right, single), side(t.right, left, false)];
}

/** Volume, mm³, and the place of its centre, mm, by the midpoint rule. */
function swept(t: Told, columns: number, rows: number) {
  let [v, mx, my, mz] = [0, 0, 0, 0];
  const stretch = (x0: number, x1: number, n: number) => {
    const dx = (x1 - x0) / n;
    for (let i = 0; i < n; i++) {
      const x = x0 + (i + 0.5) * dx;
      const y0 = edgeAt(x);
      const dy = (SPINE - y0) / rows;
      for (let k = 0; k < rows; k++) {
        const y = y0 + (k + 0.5) * dy;
        const [low, high] = steelAt(t, x, y);
        if (!(high > low)) continue;
        const piece = (high - low) * dx * dy;
        v += piece;
        mx += piece * x;
        my += piece * y;
        mz += (piece * (low + high)) / 2;
      }
    }
  };
  const ends = [0, t.ricasso, BELLY, LENGTH].filter((x, i, all) => i === 0 || x > all[i - 1]);
  for (let i = 1; i < ends.length; i++)
    stretch(ends[i - 1], ends[i], Math.ceil(((ends[i] - ends[i - 1]) / LENGTH) * columns));
  return { mm3: v, x: mx / v, y: my / v, z: mz / v };
}

const weighed = (t: Told) =>
  measured(
    bar({
      outline: outlineOf([0, SPINE], [LENGTH, SPINE], [BELLY, 0], [0, 0]),
      ricassoMm: t.ricasso,
      grind: t.right,
      leftGrind: t.left,
      stockMm: t.stock,
      tipMm: t.tip,
      edgeMm: t.edge,
      taperFromMm: t.taperFrom,
      swedge: t.falseEdge && {
        lengthMm: t.falseEdge.length,
        runOutMm: t.falseEdge.runOut,
        heightMm: t.falseEdge.height,
        leavesMm: t.falseEdge.leaves,
        sides: "both",
      },
      sharpenedDeg: t.sharpened,
    }),
  );

const PLAIN: Told = {
  right: { kind: "full-flat" },
  left: null,
  stock: 4,
  tip: 2,
  edge: 0.4,
  taperFrom: 20,
  ricasso: 15,
  falseEdge: null,
  sharpened: null,
};
const ON_FACE = { heightMm: 16, along: [], angleDeg: null } as const;
const GRINDS: readonly Grind[] = [
  { kind: "none" },
  { kind: "full-flat" },
  { kind: "partial-flat", ...ON_FACE },
  { kind: "hollow", ...ON_FACE, wheelRadiusMm: 100 },
  { kind: "convex", ...ON_FACE, bulge: 0.7 },
  { kind: "diamond", ridgeShare: 0.45 },
  { kind: "lens", ridgeShare: 0.55 },
  { kind: "double-hollow", ridgeShare: 0.5, wheelRadiusMm: 60 },
  { kind: "single-bevel", ...ON_FACE, side: "right" },
];
const FALSE_EDGE = { length: 45, runOut: 12, height: 7, leaves: 1 };

/** Source: the formulas of docs/method.md, summed by the midpoint rule in code of its own. */
describe("a blade weighs what a sweep of the documented formulas does", () => {
  const cases: [string, Told][] = GRINDS.flatMap((right): [string, Told][] => {
    const of = { ...PLAIN, right };
    const oneSided = right.kind !== "single-bevel" && right.kind !== "none";
    return [
      [right.kind, of],
      [`${right.kind}, sharpened`, { ...of, sharpened: 18 }],
      [`${right.kind}, false edge`, { ...of, falseEdge: FALSE_EDGE }],
      ...(oneSided
        ? ([
            [`${right.kind} on one side`, { ...of, left: { kind: "none" } }],
            [
              `${right.kind} on one side, false edge, sharpened`,
              { ...of, left: { kind: "none" }, falseEdge: FALSE_EDGE, sharpened: 22 },
            ],
          ] as [string, Told][])
        : []),
    ];
  });

  it.each(cases)("%s", (_, told) => {
    const [by, sweep] = [weighed(told), swept(told, 900, 350)];
    expect(Math.abs(by.mm3 / sweep.mm3 - 1), `${by.mm3} against ${sweep.mm3}`).toBeLessThan(3e-5);
    for (const k of ["x", "y", "z"] as const) expect(Math.abs(by[k] - sweep[k]), k).toBeLessThan(0.002);
  });

  it("at random", { timeout: 60_000 }, () => {
    const random = seeded(41);
    const between = (low: number, high: number) => low + random.next() * (high - low);
    for (let i = 0; i < 12; i++) {
      const right = GRINDS[i % GRINDS.length];
      const stock = between(2.5, 6);
      const left: SideGrind | null =
        right.kind !== "single-bevel" && random.next() < 0.4 ? { kind: "none" } : null;
      // A false edge takes the upper edge away that lies in the other side's flat: that cannot be built.
      const mayHaveFalseEdge = !(left && "ridgeShare" in right);
      const told: Told = {
        right,
        left,
        stock,
        tip: stock * between(0.2, 1),
        edge: between(0.1, 0.5),
        taperFrom: between(15, 40),
        ricasso: 15,
        falseEdge:
          mayHaveFalseEdge && random.next() < 0.7
            ? {
                length: between(20, 70),
                runOut: between(0, 15),
                height: between(3, 12),
                leaves: between(0.3, 2),
              }
            : null,
        sharpened: random.next() < 0.5 ? between(12, 30) : null,
      };
      const [by, sweep] = [weighed(told), swept(told, 900, 350)];
      expect(Math.abs(by.mm3 / sweep.mm3 - 1), JSON.stringify(told)).toBeLessThan(5e-5);
    }
  });
});

describe("a blade hollow on one side", () => {
  it("loses one segment of the wheel, not two", () => {
    // A prism of 100 × 30 × 4 mm, edge 0.4, face 16, wheel 100: the flat's triangle, and the segment over its chord.
    const [face, fall, radius] = [16, 3.6, 100];
    const chord = Math.hypot(face, fall);
    const angle = 2 * Math.asin(chord / 2 / radius);
    const segment = (radius * radius * (angle - Math.sin(angle))) / 2;
    const exact = 100 * (30 * 4 - (face * fall) / 2 - segment);
    expect(exact).toBeCloseTo(8751.68, 1);
    const grind = {
      kind: "hollow",
      heightMm: face,
      along: [],
      angleDeg: null,
      wheelRadiusMm: radius,
    } as const;
    const { mm3 } = measured(bar({ grind, leftGrind: { kind: "none" }, edgeMm: 0.4 }));
    expect(Math.abs(mm3 / exact - 1)).toBeLessThan(1e-5);
  });
});
