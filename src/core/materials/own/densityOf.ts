import { densityOf as densityOfPiece, type WrittenReading } from "../../base/units/weighedPiece";
import type { Density } from "../types";
import { castPlan } from "./cast";
import { densityAtMoisture } from "./moisture";
import { type BasisKind, DENSITY_LIMITS, type DensityBasis } from "./types";
import { waterGcc } from "./water";

export type DensityFault =
  | { readonly code: "not-in-order" }
  /** What is worked out, where it is a number at all. */
  | { readonly code: "out-of-range"; readonly gcc: number | null }
  /** The pieces take as much room as the mould, or more. */
  | { readonly code: "mould-full" }
  /** The wood has no room for so much resin, by mass as a share of its own. */
  | { readonly code: "more-than-pores"; readonly mostShare: number };

export type DensityReading =
  | { readonly ok: true; readonly densityGcc: Density }
  | ({ readonly ok: false } & DensityFault);

/** Density of what a wood's cells are made of, g/cm³: the rest of it is room. @see USDA Wood Handbook, FPL-GTR-282, from memory. */
const CELL_WALL_GCC = 1.5;

const ENDS = ["low", "typical", "high"] as const;

/** What each kind of basis gives, or what is wrong with it. */
type Of = { [K in BasisKind]: (basis: Extract<DensityBasis, { kind: K }>) => Density | DensityFault };

/** A density from one reading, and how far it may be off either way. */
const give = (typical: number, off: number): Density => ({
  typical,
  low: typical - off,
  high: typical + off,
});

/** The same worked out at the low end of every range, at the typical values and at the high end. */
function atEnds(of: (end: keyof Density) => number): Density {
  const [low, typical, high] = ENDS.map(of);
  return { typical, low, high };
}

const OF: Of = {
  stated: ({ typical, low, high }) => ({ typical, low, high }),
  piece: ({ massG, massOffG, lengthMm, heightMm, thicknessMm, sizeOffMm }) => {
    const sides = [lengthMm, heightMm, thicknessMm].map(
      (value): WrittenReading => ({ value, off: sizeOffMm }),
    );
    const found = densityOfPiece({ value: massG, off: massOffG }, sides);
    return found ? give(found.densityGcc, found.plusMinus) : { code: "out-of-range", gcc: null };
  },
  immersion: ({ massG, displacedG, offG, waterC }) => {
    const gcc = (massG / displacedG) * waterGcc(waterC);
    return give(gcc, gcc * Math.hypot(offG / massG, offG / displacedG));
  },
  mix: ({ by, parts }) => {
    const whole = parts.reduce((sum, p) => sum + p.share, 0);
    return atEnds((end) => {
      const sum = parts.reduce(
        (s, p) => s + (by === "volume" ? p.share * p.densityGcc[end] : p.share / p.densityGcc[end]),
        0,
      );
      return by === "volume" ? sum / whole : whole / sum;
    });
  },
  "taken-up": ({ dry, takenUpShare, takenUpOffShare, resinGcc }) => {
    const most = (gcc: number) => ((1 - gcc / CELL_WALL_GCC) * resinGcc) / gcc;
    const mostShare = Math.max(0, most(dry.typical));
    if (takenUpShare > mostShare) return { code: "more-than-pores", mostShare };
    const off = { low: -takenUpOffShare, typical: 0, high: takenUpOffShare };
    // No piece takes up more than it has room for, nor less than nothing.
    return atEnds((end) => {
      const share = Math.min(Math.max(0, takenUpShare + off[end]), Math.max(takenUpShare, most(dry[end])));
      return dry[end] * (1 + share);
    });
  },
  cast: (basis) => {
    if (!(castPlan(basis).resinMm3 > 0)) return { code: "mould-full" };
    return atEnds((end) => {
      const { massG, mouldMm3 } = castPlan(basis, end);
      return (1000 * massG) / mouldMm3;
    });
  },
  moisture: ({ at12, moisturePercent, moistureOffPercent }) => {
    const percents = [moisturePercent - moistureOffPercent, moisturePercent + moistureOffPercent];
    // A heavy wood swells by more than the water weighs: either end may be the lighter.
    const ends = [at12.low, at12.high].flatMap((gcc) =>
      percents.map((p) => densityAtMoisture(gcc, Math.max(0, p))),
    );
    const typical = densityAtMoisture(at12.typical, moisturePercent);
    return { typical, low: Math.min(typical, ...ends), high: Math.max(typical, ...ends) };
  },
};

/**
 * The density that a basis gives, g/cm³, with its range: what is off together is added up, what is off independently by
 * squares. Fails where the range is not in order, or the density is one that nothing has. @see docs/method.md
 */
export function densityOf(basis: DensityBasis): DensityReading {
  const found = (OF[basis.kind] as (b: DensityBasis) => Density | DensityFault)(basis);
  if ("code" in found) return { ok: false, ...found };
  const { typical, low, high } = found;
  if (!(typical >= DENSITY_LIMITS[0] && typical <= DENSITY_LIMITS[1]))
    return { ok: false, code: "out-of-range", gcc: Number.isFinite(typical) ? typical : null };
  if (!(low <= typical && typical <= high)) return { ok: false, code: "not-in-order" };
  const within = (gcc: number) => Math.max(DENSITY_LIMITS[0], Math.min(DENSITY_LIMITS[1], gcc));
  return { ok: true, densityGcc: { typical, low: within(low), high: within(high) } };
}
