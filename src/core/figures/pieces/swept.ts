import { clamp } from "../../base/number";
import { INSIDE_MM, SAME_PLACE_MM } from "../../base/tolerances";
import type { Point } from "../../geometry/curve/bezier";

/** Chords lie within this of the outline that they follow, mm. */
export const CHORD_MM = 0.002;
/** Places this near are not parted any more, mm: an end that moves between them jumps there. */
const LEAST_MM = 2e-4;
/** How far a strip reaches beyond its own ends, mm: two steps of the grid that strips are joined on. */
const OVERLAP_MM = 2e-4;
/** So many first places of a stretch there are at the most. */
const MOST_FIRST = 160;

/** How near chords stay to what they follow, and how far apart the first places of a stretch stand, mm. */
export interface Closeness {
  readonly chordMm: number;
  readonly firstMm: number;
}

const CLOSE: Closeness = { chordMm: CHORD_MM, firstMm: 3 };

/** Ascending ends of what there is at a place, from and to in turn: a list for each of several shapes. */
export type Ends = readonly (readonly number[])[];

interface Place {
  readonly at: number;
  readonly ends: Ends;
}

/** A stretch along which a shape has one lower and one upper end. */
interface Strip {
  readonly lower: Point[];
  readonly upper: Point[];
}

/**
 * Sweeps a line along an axis and follows where shapes begin and end on it, from one break to the next: of each shape
 * closed strips, x along the sweep and y on the line, that overlap by a hair where they meet. Places are put between
 * others until chords follow all ends to 0.002 mm, and where one begins, ends or jumps to 0.0002 mm.
 */
export function swept(
  breaks: readonly number[],
  shapes: number,
  endsAt: (at: number) => Ends,
  { chordMm, firstMm }: Closeness = CLOSE,
): Point[][][] {
  const strips: Point[][][] = Array.from({ length: shapes }, () => []);
  const open: Strip[][] = Array.from({ length: shapes }, () => []);
  let last: Place | null = null;
  /** Ends what runs of a shape at a place: where another follows, a hair beyond what that begins at. */
  const close = (k: number, at: number) => {
    for (const { lower, upper } of open[k]) {
      for (const run of [lower, upper]) run.push({ x: at, y: run[run.length - 1].y });
      strips[k].push([...lower, ...upper.reverse()]);
    }
    open[k] = [];
  };
  const put = (place: Place) => {
    for (let k = 0; k < shapes; k++) {
      const ends = place.ends[k];
      if (last === null || !goesOn(last, place, k)) {
        const follows = last !== null && ends.length > 0 && last.ends[k].length > 0;
        if (last !== null) close(k, follows ? Math.min(place.at, last.at + LEAST_MM) + OVERLAP_MM : last.at);
        const from =
          last !== null && follows ? Math.max(last.at, place.at - LEAST_MM) - OVERLAP_MM : place.at;
        open[k] = Array.from({ length: ends.length / 2 }, (_, i) => ({
          lower: [{ x: from, y: ends[2 * i] }],
          upper: [{ x: from, y: ends[2 * i + 1] }],
        }));
      }
      open[k].forEach(({ lower, upper }, i) => {
        lower.push({ x: place.at, y: ends[2 * i] });
        upper.push({ x: place.at, y: ends[2 * i + 1] });
      });
    }
    last = place;
  };
  const count = (mm: number) => clamp(Math.ceil(mm / firstMm), 2, MOST_FIRST);
  const read = (at: number): Place => ({ at, ends: endsAt(at) });
  const between = (from: Place, to: Place) => {
    if (to.at - from.at > LEAST_MM) {
      const middle = read((from.at + to.at) / 2);
      if (!isStraight(from, middle, to, chordMm)) {
        between(from, middle);
        put(middle);
        between(middle, to);
      }
    }
  };
  const places = [...breaks].sort((a, b) => a - b);
  for (let i = 0; i + 1 < places.length; i++) {
    const [from, to] = [places[i] + INSIDE_MM, places[i + 1] - INSIDE_MM];
    if (!(to - from > INSIDE_MM)) continue;
    const steps = count(to - from);
    let before = read(from);
    put(before);
    for (let j = 1; j <= steps; j++) {
      const next = read(from + ((to - from) * j) / steps);
      between(before, next);
      put(next);
      before = next;
    }
  }
  if (last !== null) for (let k = 0; k < shapes; k++) close(k, (last as Place).at);
  return strips;
}

/** Whether a shape runs on from one place to the next: as many ends, and none that jumps. */
function goesOn(from: Place, to: Place, shape: number): boolean {
  const [a, b] = [from.ends[shape], to.ends[shape]];
  if (a.length !== b.length) return false;
  const near = to.at - from.at <= LEAST_MM;
  return !near || a.every((v, i) => Math.abs(v - b[i]) < Math.max(SAME_PLACE_MM, CHORD_MM));
}

/** Whether all ends run straight from one place over the middle to another. */
function isStraight({ ends: a }: Place, { ends: m }: Place, { ends: b }: Place, chordMm: number): boolean {
  return m.every(
    (of, k) =>
      of.length === a[k].length &&
      of.length === b[k].length &&
      of.every((v, i) => Math.abs(v - (a[k][i] + b[k][i]) / 2) < chordMm),
  );
}
