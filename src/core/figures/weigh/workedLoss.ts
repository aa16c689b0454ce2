import { clamp } from "../../base/number";
import { INSIDE_SHARE } from "../../base/tolerances";
import type { Assembly } from "../../knife/parts/types";
import type { Worked } from "../../knife/shapes/textures";
import { ColumnMemory } from "./columnMemory";
import { type Moments, noMoments } from "./moments";
import { PartColumns } from "./partColumns";

/** Rows along the knife stand so far apart, within limits of their number; places across each. */
const ROW_MM = 0.6;
const FEWEST_ROWS = 40;
const MOST_ROWS = 320;
const ACROSS = 36;

/** A blade is not ground where it is within this of being as thick as it is anywhere at that station, mm a side. */
const FLAT_MM = 0.02;

/**
 * Moments of what is missing of a part whose face is not smooth: a sheet as thick as the mean loss under all of that face,
 * where nothing else of the knife takes its space there. Of a side the face is measured by triangles between rows of rays,
 * so that what slopes counts with its slope; from the front by what is seen of it. The area is within 0.5 %.
 */
export function workedLoss(assembly: Assembly, id: string, worked: Worked): Moments {
  const columns = new PartColumns(assembly, id);
  return remembered.of(columns.from, worked, () => {
    const [from, to] = columns.xRange;
    const lost = noMoments(to > from ? (from + to) / 2 : 0);
    if (!(to > from)) return lost;
    const { on, lossMm } = worked;
    if (on === "front") addFront(columns, lossMm, lost);
    else for (const side of SIDES_OF[on]) addSide(columns, side, on === "flats", lossMm, lost);
    return lost;
  });
}

const remembered = new ColumnMemory<Worked, Moments>();

const SIDES_OF = { right: [1], left: [-1], both: [1, -1], flats: [1, -1] } as const;

/** Stations closer together toward both ends, where an outline closes. */
function stationsOf([from, to]: readonly [number, number]): number[] {
  const rows = clamp(Math.ceil((to - from) / ROW_MM), FEWEST_ROWS, MOST_ROWS);
  return Array.from({ length: rows + 1 }, (_, i) => {
    const share = (1 - Math.cos((Math.PI * i) / rows)) / 2;
    return from + (to - from) * clamp(share, INSIDE_SHARE, 1 - INSIDE_SHARE);
  });
}

/** Places across a part, its edges included, closer together toward them. */
function acrossOf(low: number, high: number): number[] {
  return Array.from({ length: ACROSS + 1 }, (_, k) => {
    const share = (1 - Math.cos((Math.PI * k) / ACROSS)) / 2;
    return low + (high - low) * clamp(share, INSIDE_SHARE, 1 - INSIDE_SHARE);
  });
}

/** A place on a row, and its height where it is seen. */
interface Corner {
  readonly x: number;
  readonly y: number;
  readonly z: number | null;
}

/** The surface of one side along a row; of flats, where it is as thick as anywhere in the row. Empty where nothing is. */
function rowAt(columns: PartColumns, x: number, side: 1 | -1, flats: boolean): Corner[] {
  const edges = columns.edgesAlong(columns.at(x));
  if (edges.length < 2) return [];
  const row = acrossOf(edges[0], edges[edges.length - 1]).map((y) => ({ x, y, z: columns.surface(y, side) }));
  if (!flats) return row;
  const most = Math.max(...row.map(({ z }) => (z === null ? 0 : side * z)));
  return row.map((p) => (p.z !== null && side * p.z > most - FLAT_MM ? p : { ...p, z: null }));
}

const HALVINGS = 12;

/** The last row that is not empty, between a station where one is and one where none is. */
function lastRow(of: (x: number) => Corner[], there: number, empty: number): Corner[] {
  let [from, to] = [there, empty];
  for (let k = 0; k < HALVINGS; k++) {
    const middle = (from + to) / 2;
    if (of(middle).length > 0) from = middle;
    else to = middle;
  }
  return of(from);
}

function addSide(columns: PartColumns, side: 1 | -1, flats: boolean, lossMm: number, lost: Moments): void {
  const rowOf = (x: number) => rowAt(columns, x, side, flats);
  let [before, beforeX] = [[] as Corner[], Number.NaN];
  const join = (row: readonly Corner[]) => {
    for (let k = 0; k < ACROSS && before.length > 0 && row.length > 0; k++) {
      addTriangle([before[k], before[k + 1], row[k]], side, lossMm, lost);
      addTriangle([before[k + 1], row[k + 1], row[k]], side, lossMm, lost);
    }
  };
  for (const x of stationsOf(columns.xRange)) {
    const row = rowOf(x);
    const [was, is] = [before.length > 0, row.length > 0];
    // A part that other parts end does so between two rows.
    if (was && !is) join(lastRow(rowOf, beforeX, x));
    if (is && !was && !Number.isNaN(beforeX)) before = lastRow(rowOf, x, beforeX);
    join(row);
    [before, beforeX] = [row, x];
  }
}

/** Adds the sheet under a triangle of the face; of one that is seen in part, by the share of its corners that are. */
function addTriangle(corners: readonly Corner[], side: 1 | -1, lossMm: number, lost: Moments): void {
  const heights = corners.flatMap(({ z }) => (z === null ? [] : [z]));
  if (heights.length === 0) return;
  const level = heights.reduce((sum, z) => sum + z, 0) / heights.length;
  const [a, b, c] = corners.map(({ x, y, z }) => [x, y, z ?? level]);
  const [u, v] = [b, c].map((p) => [p[0] - a[0], p[1] - a[1], p[2] - a[2]]);
  const across = Math.hypot(u[1] * v[2] - u[2] * v[1], u[2] * v[0] - u[0] * v[2], u[0] * v[1] - u[1] * v[0]);
  const [x, y, z] = [0, 1, 2].map((i) => (a[i] + b[i] + c[i]) / 3);
  const seen = heights.length / corners.length;
  addAt(lost, (seen * across * lossMm) / 2, x, y, z - (side * lossMm) / 2);
}

/** What is seen of a part from the front: at each height as wide as it is anywhere along the knife. */
function addFront(columns: PartColumns, lossMm: number, lost: Moments): void {
  const stations = stationsOf(columns.xRange);
  const spans = stations.flatMap((x) => columns.edgesAlong(columns.at(x)));
  if (spans.length < 2) return;
  const [low, high] = [Math.min(...spans), Math.max(...spans)];
  const rows = clamp(Math.ceil((high - low) / ROW_MM), FEWEST_ROWS, MOST_ROWS);
  const step = (high - low) / rows;
  const seen = Array.from({ length: rows }, () => ({ width: 0, z: 0, x: 0 }));
  for (const x of stations) {
    columns.at(x);
    seen.forEach((best, i) => {
      const found = columns.column(low + (i + 0.5) * step);
      let [width, z] = [0, 0];
      for (let k = 0; k < found.length; k += 2) {
        width += found[k + 1] - found[k];
        z += (found[k + 1] ** 2 - found[k] ** 2) / 2;
      }
      if (width > 0) best.x = x;
      if (width > best.width) [best.width, best.z] = [width, z / width];
    });
  }
  seen.forEach(({ width, z, x }, i) => {
    addAt(lost, width * step * lossMm, x - lossMm / 2, low + (i + 0.5) * step, z);
  });
}

/** Adds so much at one place. */
function addAt(m: Moments, v: number, x: number, y: number, z: number): void {
  const d = x - m.originX;
  m.v += v;
  m.x += v * d;
  m.y += v * y;
  m.z += v * z;
  m.xx += v * d * d;
  m.yy += v * y * y;
  m.zz += v * z * z;
  m.xy += v * d * y;
  m.xz += v * d * z;
  m.yz += v * y * z;
}
