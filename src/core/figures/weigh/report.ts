import type { PartKey } from "../../knife/parts/partKey";
import type { Assembly, MaterialShare, Part } from "../../knife/parts/types";
import type { Density, Material } from "../../materials/types";
import { materialMoments } from "./materialMoments";
import type { Calibration } from "./measured";
import { type Moments, sumOfMoments } from "./moments";

/** Components of an inertia tensor, g·mm²: off the diagonal they are −∫xy dm and so on. */
export interface Inertia {
  readonly xx: number;
  readonly yy: number;
  readonly zz: number;
  readonly xy: number;
  readonly xz: number;
  readonly yz: number;
}

export type Triple = readonly [number, number, number];
export type Interval = readonly [number, number];

export interface PartWeight {
  readonly key: PartKey;
  readonly id: string;
  readonly group: Part["group"];
  /** Material ids, the largest share first, joined by "+". */
  readonly material: string;
  readonly volumeMm3: number;
  readonly massG: number;
  /** Centre of mass; of a part with no volume, the origin. */
  readonly centreMm: Triple;
}

/** How much of the interval one material's density accounts for. */
export interface DensityShare {
  readonly material: string;
  /** Change of mass, and of balance, when its density goes from low to high. */
  readonly massG: number;
  readonly balanceMm: number;
}

/** A knife weighed: grams and millimetres in the frame of docs/method.md. */
export interface MassReport {
  readonly massG: number;
  /** x of the centre of mass: + is ahead of the datum, toward the tip. */
  readonly balanceMm: number;
  readonly centreMm: Triple;
  /** About the centre of mass. */
  readonly inertiaGmm2: Inertia;
  readonly massIntervalG: Interval;
  readonly balanceIntervalMm: Interval;
  readonly parts: readonly PartWeight[];
  /** Largest effect on mass first. */
  readonly densityShares: readonly DensityShare[];
}

/** Density in g/mm³ of a mix, with each material's density replaced where `densityOf` says so. */
function mixDensity(made: readonly MaterialShare[], densityOf: (id: string) => number): number {
  let sum = 0;
  for (const m of made) sum += m.share * densityOf(m.materialId);
  return sum / 1000;
}

/** A part with its moments; parts of one id are one. */
interface Solid {
  readonly part: Part;
  /** Of what it is made of, and its own outer volume. */
  readonly m: Moments;
  readonly volumeMm3: number;
  /** Whether it was measured: then its materials' densities do not hold. */
  readonly held: boolean;
}

function solidsOf(
  assembly: Assembly,
  moments: readonly Readonly<Moments>[],
  measured: Calibration | null,
): Solid[] {
  const material = materialMoments(assembly, moments);
  const byId = new Map<string, { part: Part; places: number[] }>();
  assembly.parts.forEach((part, i) => {
    if (part.materials.length === 0) return;
    const known = byId.get(part.id);
    if (known) known.places.push(i);
    else byId.set(part.id, { part, places: [i] });
  });
  return [...byId.values()].map(({ part, places }) => {
    const m = sumOfMoments(places.map((i) => material[i]));
    const volumeMm3 = places.reduce((sum, i) => sum + moments[i].v, 0);
    if (!measured?.partIds.includes(part.id)) return { part, m, volumeMm3, held: false };
    const shifted = { ...m, originX: m.originX + measured.shiftMm };
    return { part, m: shifted, volumeMm3, held: true };
  });
}

function partWeight({ part, m, volumeMm3 }: Solid, massG: number): PartWeight {
  const centreMm: Triple = m.v > 0 ? [m.originX + m.x / m.v, m.y / m.v, m.z / m.v] : [0, 0, 0];
  const material = [...(part.drawnOf ?? part.materials)]
    .sort((a, b) => b.share - a.share)
    .map((s) => s.materialId)
    .join("+");
  const { key, id, group } = part;
  return { key, id, group, material, volumeMm3, massG, centreMm };
}

/**
 * Masses, centre, inertia and intervals from the moments of an assembly's parts. `find` must know every material
 * named (the review says so beforehand); an unknown one throws. With no mass at all, centre and inertia are zero.
 * What was measured of a blade in the hand takes the place of its steel's density.
 */
export function massReport(
  assembly: Assembly,
  moments: readonly Readonly<Moments>[],
  find: (id: string) => Material | undefined,
  measured: Calibration | null = null,
): MassReport {
  const density = (id: string): Density => {
    const found = find(id);
    if (!found) throw new Error(`no material "${id}"`);
    return found.densityGcc;
  };
  const solid = solidsOf(assembly, moments, measured);
  const typical = solid.map(({ part, held }) => {
    const drawn = mixDensity(part.materials, (id) => density(id).typical);
    return held && measured ? measured.densityOf(drawn) : drawn;
  });
  const masses = solid.map(({ m }, i) => m.v * typical[i]);
  const massG = sum(masses);
  const firsts = (axis: "x" | "y" | "z") =>
    sum(solid.map(({ m }, i) => typical[i] * (m[axis] + offset(m, axis))));
  const centreMm: Triple =
    massG > 0 ? [firsts("x") / massG, firsts("y") / massG, firsts("z") / massG] : [0, 0, 0];

  const parts = solid.map((s, i) => partWeight(s, masses[i]));
  const densityShares = sharesOfDensity(
    solid.filter((s) => !s.held),
    measured,
    massG,
    centreMm[0],
    density,
  );
  const shifts = [...densityShares, ...(measured ? sharesOfMeasuring(measured, massG, centreMm[0]) : [])];
  return {
    massG,
    balanceMm: centreMm[0],
    centreMm,
    inertiaGmm2: inertiaAbout(
      centreMm,
      solid.map(({ m }) => m),
      typical,
    ),
    massIntervalG: around(
      massG,
      shifts.map((s) => s.mass),
    ),
    balanceIntervalMm: around(
      centreMm[0],
      shifts.map((s) => s.balance),
    ),
    parts,
    densityShares: shifts
      .map((s) => ({
        material: s.material,
        massG: s.mass[1] - s.mass[0],
        balanceMm: Math.abs(s.balance[1] - s.balance[0]),
      }))
      .sort((a, b) => b.massG - a.massG),
  };
}

function offset(m: Moments, axis: "x" | "y" | "z"): number {
  return axis === "x" ? m.originX * m.v : 0;
}

function sum(values: readonly number[]): number {
  return values.reduce((a, b) => a + b, 0);
}

/** Second moments moved to the knife's centre part by part (parallel axes), so that no large terms cancel. */
function inertiaAbout(centre: Triple, moments: readonly Moments[], densities: readonly number[]): Inertia {
  let [xx, yy, zz, xy, xz, yz] = [0, 0, 0, 0, 0, 0];
  moments.forEach((m, i) => {
    const d = densities[i];
    const a = centre[0] - m.originX;
    const [, b, c] = centre;
    const x2 = m.xx - 2 * a * m.x + a * a * m.v;
    const y2 = m.yy - 2 * b * m.y + b * b * m.v;
    const z2 = m.zz - 2 * c * m.z + c * c * m.v;
    xx += d * (y2 + z2);
    yy += d * (x2 + z2);
    zz += d * (x2 + y2);
    xy -= d * (m.xy - a * m.y - b * m.x + a * b * m.v);
    xz -= d * (m.xz - a * m.z - c * m.x + a * c * m.v);
    yz -= d * (m.yz - b * m.z - c * m.y + b * c * m.v);
  });
  return { xx, yy, zz, xy, xz, yz };
}

interface Shift {
  readonly material: string;
  /** Change at the low and at the high density. */
  readonly mass: Interval;
  readonly balance: Interval;
}

/**
 * What each material's density does to mass and balance by itself. Parts of one material move together. What was on the
 * scale as well does nothing: were it denser, the part that takes the difference would be lighter by as much.
 */
function sharesOfDensity(
  solid: readonly Solid[],
  measured: Calibration | null,
  massG: number,
  balanceMm: number,
  density: (id: string) => Density,
): Shift[] {
  const volumes = new Map<string, { v: number; x: number }>();
  for (const { part, m } of solid) {
    for (const { materialId, share } of part.materials) {
      const of = volumes.get(materialId) ?? { v: 0, x: 0 };
      of.v += (share * m.v) / 1000;
      of.x += (share * (m.x + m.originX * m.v)) / 1000;
      volumes.set(materialId, of);
    }
  }
  for (const [material, was] of measured?.weighedWith ?? []) {
    const of = volumes.get(material) ?? { v: 0, x: 0 };
    volumes.set(material, { v: of.v - was.v, x: of.x - was.x });
  }
  return [...volumes].map(([material, { v, x }]) => {
    const { low, typical, high } = density(material);
    const shift = (to: number): readonly [number, number] => {
      const dm = (to - typical) * v;
      const mass = massG + dm;
      return [dm, mass > 0 ? (massG * balanceMm + (to - typical) * x) / mass - balanceMm : 0];
    };
    const [atLow, atHigh] = [shift(low), shift(high)];
    return { material, mass: [atLow[0], atHigh[0]], balance: [atLow[1], atHigh[1]] };
  });
}

/** Ids under which the two errors of measuring a blade stand among the densities. */
export const MEASURED_MASS = "measured-mass";
export const MEASURED_BALANCE = "measured-balance";

/** What the errors of weighing and balancing a blade in the hand do to the whole. */
function sharesOfMeasuring(c: Calibration, massG: number, balanceMm: number): Shift[] {
  const heavier = (dm: number): number => {
    const mass = massG + dm;
    return mass > 0 ? (massG * balanceMm + dm * c.balanceMm) / mass - balanceMm : 0;
  };
  const reach = massG > 0 ? (c.balanceOffMm * c.massG) / massG : 0;
  return [
    {
      material: MEASURED_MASS,
      mass: [-c.massOffG, c.massOffG],
      balance: [heavier(-c.massOffG), heavier(c.massOffG)],
    },
    { material: MEASURED_BALANCE, mass: [0, 0], balance: [-reach, reach] },
  ];
}

/** Independent shifts add as root-sum-of-squares, downward and upward apart. */
function around(value: number, shifts: readonly Interval[]): Interval {
  const down = Math.sqrt(sum(shifts.map((s) => Math.min(0, ...s) ** 2)));
  const up = Math.sqrt(sum(shifts.map((s) => Math.max(0, ...s) ** 2)));
  return [value - down, value + up];
}
