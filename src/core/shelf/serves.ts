import { ROUNDING } from "../base/tolerances";
import type { Size } from "../figures/fit/bladeStock";
import type { Lot, LotShape } from "./lot";

/** What is asked of a lot for one piece of a knife. */
export interface PieceNeed {
  /** With room to shape and the saw's kerf. */
  readonly sawnMm: Size;
  /** The same without the kerf: what each further one takes, besides a cut. */
  readonly blankMm: Size;
  readonly count: number;
  /** Whether the grain has to run along the knife. */
  readonly lengthwise: boolean;
  readonly kerfMm: number;
}

/** How a lot serves: which of its sides becomes which, how many pieces one of them gives, and what is left of it then. */
export interface Served {
  readonly ok: true;
  /** For length, height and thickness of the piece, the side of the lot that it is cut along. */
  readonly turned: readonly (keyof Size)[];
  readonly piecesEach: number;
  /** How many like pieces of the lot are used up or begun. */
  readonly used: number;
  /** The largest box that is left of the last one; null where nothing worth keeping is. */
  readonly offcutMm: Size | null;
}
/** What is missing of a lot, the way that misses least. */
export interface Missed {
  readonly ok: false;
  readonly why: "too-small" | "too-few";
  readonly shortMm: Size;
}

const SIDES = ["lengthMm", "heightMm", "thicknessMm"] as const;
type Side = (typeof SIDES)[number];
const TURNS: readonly (readonly [Side, Side, Side])[] = [
  ["lengthMm", "heightMm", "thicknessMm"],
  ["lengthMm", "thicknessMm", "heightMm"],
  ["heightMm", "lengthMm", "thicknessMm"],
  ["heightMm", "thicknessMm", "lengthMm"],
  ["thicknessMm", "lengthMm", "heightMm"],
  ["thicknessMm", "heightMm", "lengthMm"],
];
const GRAIN_SIDE: Readonly<Record<"length" | "height" | "thickness", Side>> = {
  length: "lengthMm",
  height: "heightMm",
  thickness: "thicknessMm",
};

/** Smaller than this along any side an offcut is waste, mm. */
const WORTH_MM = { lengthMm: 30, heightMm: 12, thicknessMm: 2 } as const;

/** Every way of turning a piece in a lot that the grain of both allows. */
function turnsOf(need: PieceNeed, { grain }: LotShape<"piece">) {
  if (!need.lengthwise || grain === null) return TURNS;
  return TURNS.filter(([along]) => along === GRAIN_SIDE[grain]);
}

/**
 * So many pieces come out of a length: the first with the room that it is sawn with, which has its own kerf, each further one
 * behind another cut.
 */
export const cutsOut = (stockMm: number, sawnMm: number, blankMm: number, kerfMm: number): number =>
  sawnMm <= stockMm + ROUNDING ? 1 + Math.floor((stockMm - sawnMm) / (blankMm + kerfMm) + ROUNDING) : 0;

function offcut(lot: Size, took: Size, kerfMm: number): Size | null {
  // The slab that is left beside what was taken, along each side in turn: the largest of them.
  const slabs = SIDES.map((side) => ({ ...lot, [side]: lot[side] - took[side] - kerfMm }));
  const sorted = slabs
    .filter((s) => {
      const [a, b, c] = SIDES.map((k) => s[k]).sort((x, y) => y - x);
      return a >= WORTH_MM.lengthMm && b >= WORTH_MM.heightMm && c >= WORTH_MM.thicknessMm;
    })
    .sort((a, b) => volume(b) - volume(a));
  return sorted[0] ?? null;
}

const volume = (s: Size) => s.lengthMm * s.heightMm * s.thicknessMm;

/** Whether a lot of boxes is big enough for a piece of a knife, so many of its pieces being spoken for already. */
export function serves(need: PieceNeed, shape: LotShape<"piece">, free: number): Served | Missed {
  const lot: Size = shape;
  let least: Missed | null = null;
  let best: Served | null = null;
  for (const turned of turnsOf(need, shape)) {
    const wanted = SIDES.map((s) => need.sawnMm[s]);
    const blank = SIDES.map((s) => need.blankMm[s]);
    const each = turned.map((side, i) => cutsOut(lot[side], wanted[i], blank[i], need.kerfMm));
    const piecesEach = each[0] * each[1] * each[2];
    if (piecesEach === 0) {
      const short = Object.fromEntries(
        turned.map((side, i) => [SIDES[i], Math.max(0, wanted[i] - lot[side])]),
      ) as unknown as Size;
      const sum = (m: Size) => m.lengthMm + m.heightMm + m.thicknessMm;
      // What comes out of it one way, but not often enough, is told before what does not come out of it another way.
      if (least?.why !== "too-few" && (!least || sum(short) < sum(least.shortMm)))
        least = { ok: false, why: "too-small", shortMm: short };
      continue;
    }
    const used = Math.ceil(need.count / piecesEach);
    if (used > free) {
      least = { ok: false, why: "too-few", shortMm: { lengthMm: 0, heightMm: 0, thicknessMm: 0 } };
      continue;
    }
    const last = need.count - (used - 1) * piecesEach;
    // Rows are taken along the first side of the lot, then the second, then the third.
    const rows = [
      Math.min(last, each[0]),
      Math.min(Math.ceil(last / each[0]), each[1]),
      Math.ceil(last / (each[0] * each[1])),
    ];
    const took = Object.fromEntries(
      turned.map((side, i) => [side, wanted[i] + (rows[i] - 1) * (blank[i] + need.kerfMm)]),
    ) as unknown as Size;
    const left = offcut(lot, took, need.kerfMm);
    const served: Served = { ok: true, turned, piecesEach, used, offcutMm: left };
    const better = (a: Served, b: Served) =>
      a.used !== b.used
        ? a.used < b.used
        : (a.offcutMm ? volume(a.offcutMm) : 0) > (b.offcutMm ? volume(b.offcutMm) : 0);
    if (!best || better(served, best)) best = served;
  }
  return (
    best ?? least ?? { ok: false, why: "too-few", shortMm: { lengthMm: 0, heightMm: 0, thicknessMm: 0 } }
  );
}

/** Of rods: whether they are as thick as is wanted, and so long together that every blank comes out of one. */
export function rodServes(
  need: {
    readonly diameterMm: number;
    readonly blankMm: number;
    readonly count: number;
    readonly kerfMm: number;
  },
  { shape, count }: Pick<Lot, "count"> & { readonly shape: LotShape<"rod"> },
): { readonly ok: boolean; readonly used: number; readonly why: "other-diameter" | "too-short" | null } {
  if (Math.abs(shape.diameterMm - need.diameterMm) > ROD_MM)
    return { ok: false, used: 0, why: "other-diameter" };
  const each = cutsOut(shape.lengthMm, need.blankMm, need.blankMm, need.kerfMm);
  const used = each > 0 ? Math.ceil(need.count / each) : Number.POSITIVE_INFINITY;
  return used <= count ? { ok: true, used, why: null } : { ok: false, used: 0, why: "too-short" };
}

/** Rods that differ less are the same, mm. */
const ROD_MM = 0.05;
