import type { ClosingZone } from "./closingZone";

/**
 * A region cut at one x. Along a ray through (x, y) it fills z from `low(y)` to `high(y)`; callers ask only for y
 * within `ys`. Levels and crossings let two regions of one cut find where their surfaces meet.
 */
export interface Slice {
  /** Filled stretches of y: y0, y1, y0, y1 …, ascending; null where y does not limit the region. */
  readonly ys: readonly number[] | null;
  /** Further y where the surface has a crease. */
  readonly creases: readonly number[];
  /** Heights z of faces that run flat across this cut. */
  readonly levels: readonly number[];
  /** Where the curved part of the surface passes through height z; null where it does not tell. */
  readonly crossings: ((z: number) => readonly number[]) | null;
  readonly zones: readonly ClosingZone[];
  /** Points that a panel needs beyond the usual for this surface's bends. */
  readonly extraPoints: number;
  /** Whether `low` and `high` are the same at every y of this cut. */
  readonly flat: boolean;
  low(y: number): number;
  high(y: number): number;
}

/** No numbers: one list for all cuts, of which a weighing makes tens of thousands. */
export const NONE: readonly number[] = [];
const NO_ZONES: readonly ClosingZone[] = [];

/** A cut between two faces at fixed heights. */
class FlatSlice implements Slice {
  readonly creases = NONE;
  readonly zones = NO_ZONES;
  readonly extraPoints = 0;
  readonly flat = true;
  readonly levels: readonly number[];

  constructor(
    readonly ys: readonly number[] | null,
    private readonly z0: number,
    private readonly z1: number,
  ) {
    const [low, high] = [z0 > Number.NEGATIVE_INFINITY, z1 < Number.POSITIVE_INFINITY];
    this.levels = low && high ? [z0, z1] : low ? [z0] : high ? [z1] : NONE;
  }

  crossings(): readonly number[] {
    return NONE;
  }
  low(): number {
    return this.z0;
  }
  high(): number {
    return this.z1;
  }
}

/** A cut between two faces at fixed heights; null for `ys` limits nothing in y. */
export function flatSlice(ys: readonly number[] | null, low: number, high: number): Slice {
  return new FlatSlice(ys, low, high);
}

/** A cut through all heights, within stretches of y. */
export function throughSlice(ys: readonly number[] | null): Slice {
  return new FlatSlice(ys, Number.NEGATIVE_INFINITY, Number.POSITIVE_INFINITY);
}

/** A cut between two faces that are not flat; of the rest what is left out there is none. */
export function curvedSlice(
  cut: Pick<Slice, "ys" | "low" | "high"> &
    Partial<Pick<Slice, "creases" | "levels" | "crossings" | "zones" | "extraPoints">>,
): Slice {
  return {
    ys: cut.ys,
    creases: cut.creases ?? NONE,
    levels: cut.levels ?? NONE,
    crossings: cut.crossings ?? null,
    zones: cut.zones ?? NO_ZONES,
    extraPoints: cut.extraPoints ?? 0,
    flat: false,
    low: cut.low,
    high: cut.high,
  };
}

/** Whether a height lies in stretches of y as a cut has them; null for what y does not limit. */
export function holds(ys: readonly number[] | null, y: number): boolean {
  if (ys === null) return true;
  for (let k = 0; k + 1 < ys.length; k += 2) if (y > ys[k] && y < ys[k + 1]) return true;
  return false;
}
