import type { Work } from "../../base/work";
import type { RawRun } from "../../geometry/contours/raw";
import type { Point } from "../../geometry/curve/bezier";
import { apart, cellKey } from "./cells";

/** Ends that are nearer than this are one place: what is between them is rounding, mm. */
export const JOINED_MM = 0.05;

/** An end of an open run. */
interface End {
  readonly run: RawRun;
  readonly at: Point;
  readonly atStart: boolean;
}

/** Ends of runs by the cells of a grid: those near a place are found without looking at the others. */
class Ends {
  private readonly byCell = new Map<number, Set<End>>();
  private readonly of = new Map<RawRun, readonly End[]>();

  constructor(
    runs: readonly RawRun[],
    private readonly withinMm: number,
  ) {
    for (const run of runs) {
      const ends: readonly End[] = [
        { run, at: run.points[0], atStart: true },
        { run, at: run.points[run.points.length - 1], atStart: false },
      ];
      this.of.set(run, ends);
      for (const end of ends) {
        const key = this.cellOf(end.at, 0, 0);
        const there = this.byCell.get(key);
        if (there) there.add(end);
        else this.byCell.set(key, new Set([end]));
      }
    }
  }

  /** Takes a run out; false where it was out already. */
  take(run: RawRun): boolean {
    const ends = this.of.get(run);
    if (!ends) return false;
    this.of.delete(run);
    for (const end of ends) this.byCell.get(this.cellOf(end.at, 0, 0))?.delete(end);
    return true;
  }

  /** The end nearest to a place, within the distance over which lines are joined. */
  nearest(p: Point, work: Work): End | null {
    let best: End | null = null;
    let least = this.withinMm;
    for (let di = -1; di <= 1; di++)
      for (let dk = -1; dk <= 1; dk++)
        for (const end of this.byCell.get(this.cellOf(p, di, dk)) ?? []) {
          work.spend();
          const gap = apart(end.at, p);
          if (gap > least || (best !== null && gap === least)) continue;
          best = end;
          least = gap;
        }
    return best;
  }

  private cellOf({ x, y }: Point, di: number, dk: number): number {
    return cellKey(Math.floor(x / this.withinMm) + di, Math.floor(y / this.withinMm) + dk, 0);
  }
}

/** A run that was put together. */
interface Joined {
  readonly run: RawRun;
  /** The widest gap that was closed for it, mm. */
  readonly widestMm: number;
}

/** Open runs put together end to end where their ends meet; of several that meet in one place, the nearest two. */
export function joinedRuns(
  open: readonly RawRun[],
  withinMm: number,
  work: Work,
): { readonly runs: readonly Joined[]; readonly joined: number } {
  const ends = new Ends(
    open.filter((r) => r.points.length > 1),
    withinMm,
  );
  const runs: Joined[] = [];
  let joined = 0;
  for (const run of open) {
    if (!ends.take(run)) continue;
    const first = run.points[0];
    const last = run.points[run.points.length - 1];
    let count = run.points.length;
    let widestMm = 0;
    /** Pieces that follow a place, each in the order in which it is run through; `far` is the chain's other end. */
    const chain = (from: Point, far: Point) => {
      const pieces: (readonly Point[])[] = [];
      let at = from;
      while (!(apart(at, far) <= withinMm && count > 2)) {
        const next = ends.nearest(at, work);
        if (!next) break;
        ends.take(next.run);
        work.spend(next.run.points.length);
        const piece = next.atStart ? next.run.points : [...next.run.points].reverse();
        const gap = apart(at, piece[0]);
        widestMm = Math.max(widestMm, gap);
        at = piece[piece.length - 1];
        count += piece.length - 1;
        joined++;
        pieces.push(isOnePlace(gap) ? piece.slice(1) : piece);
      }
      return { pieces, end: at };
    };
    // On from its end, then on from its beginning, until nothing follows.
    const ahead = chain(last, first);
    const behind = chain(first, ahead.end);
    const points = [...behind.pieces.flat().reverse(), ...run.points, ...ahead.pieces.flat()];
    // What had something before it was turned round to be gone on with.
    points.reverse();
    const gap = apart(points[0], points[points.length - 1]);
    const closed = points.length > 2 && gap <= withinMm;
    if (closed) widestMm = Math.max(widestMm, gap);
    const whole = closed && isOnePlace(gap) ? points.slice(0, -1) : points;
    runs.push({ run: { layer: run.layer, points: whole, closed }, widestMm });
  }
  return { runs, joined };
}

const isOnePlace = (gapMm: number): boolean => gapMm <= JOINED_MM;
