import type { Assembly } from "../../knife/parts/types";
import { ColumnMemory } from "./columnMemory";
import { addCut, addRay, type Moments, noMoments, noSums } from "./moments";
import { PartColumns, type Stretches } from "./partColumns";

/** Rays stand this share of the wall apart, within limits, mm; fewer where there would be too many of them. */
const WALL_SHARE = 1 / 3;
const FINEST_MM = 0.25;
const COARSEST_MM = 0.6;
const MOST_RAYS = 40_000;

/**
 * Moments of what lies a wall or more inside a part's whole surface, the walls of its holes too: what a printer fills with
 * infill. A place is inside where a ball of the wall's radius about it lies in the part; found on a grid of rays along z,
 * exactly along each, by what the rays within a wall of it leave; beside the part's silhouette by the share of a ray's
 * square that is inside. Zero where the walls meet everywhere.
 */
export function printedInside(assembly: Assembly, id: string, wallMm: number): Moments {
  const columns = new PartColumns(assembly, id);
  return remembered.of(columns.from, wallMm, () => eroded(columns, wallMm));
}

/** While something else of a knife is changed, its printed parts are as they were. */
const remembered = new ColumnMemory<number, Moments>();

interface Grid {
  readonly step: number;
  readonly x0: number;
  readonly y0: number;
  readonly columns: readonly (readonly Stretches[])[];
  /** Places of the silhouette's border, by the row of x that they are nearest to. */
  readonly border: readonly (readonly (readonly [number, number])[])[];
}

function eroded(columns: PartColumns, wall: number): Moments {
  const [from, to] = columns.xRange;
  const found = noMoments(to > from ? (from + to) / 2 : 0);
  if (!(to > from)) return found;
  const grid = gridOf(columns, wall);
  const { step } = grid;
  const near = neighbours(wall, step);
  const sums = noSums();
  let besideBorder = false;
  grid.columns.forEach((row, i) => {
    const x = grid.x0 + i * step;
    row.forEach((own, j) => {
      if (own.length === 0) return;
      const y = grid.y0 + j * step;
      const left = leftOf(own, i, j);
      if (left.length === 0) return;
      const share = besideBorder ? 0.5 + (toBorder(grid, i, x, y, wall + step) - wall) / step : 1;
      if (!(share > 0)) return;
      const w = Math.min(1, share) * step;
      for (let k = 0; k < left.length; k += 2) addRay(sums, w, y, left[k], left[k + 1]);
    });
    addCut(found, sums, x, step);
  });
  return found;

  /** What the rays within a wall's reach leave of one; notes whether some of those near it have nothing. */
  function leftOf(own: Stretches, i: number, j: number): Stretches {
    let left = own;
    besideBorder = false;
    // Nearly all rays have one stretch, and so have their neighbours.
    let [low, high] = [own[0], own[own.length - 1]];
    const single = own.length === 2;
    for (let k = 0; k < near.length; k++) {
      const [di, dj, shrink] = near[k];
      const there = grid.columns[i + di]?.[j + dj];
      if (!there || there.length === 0) {
        besideBorder = true;
        continue;
      }
      if (shrink === null) continue;
      if (single && there.length === 2) {
        if (there[0] + shrink > low) low = there[0] + shrink;
        if (there[1] - shrink < high) high = there[1] - shrink;
        if (!(high > low)) return NOTHING;
        continue;
      }
      left = shrunk(left, there, shrink);
      if (left.length === 0) return NOTHING;
    }
    return single ? shrunk(left, [low, high], 0) : left;
  }
}

const NOTHING: Stretches = [];

/** A ray so many steps off, and by how much its stretches are drawn in; null of one only just beyond the wall. */
type Neighbour = readonly [number, number, number | null];

/** The rays within a wall and a step of one, the nearest first: they rule out most. */
function neighbours(wall: number, step: number): Neighbour[] {
  const reach = Math.ceil(wall / step) + 1;
  const all: { r2: number; of: Neighbour }[] = [];
  for (let i = -reach; i <= reach; i++)
    for (let j = -reach; j <= reach; j++) {
      const r2 = (i * i + j * j) * step * step;
      if (r2 <= wall * wall) all.push({ r2, of: [i, j, Math.sqrt(wall * wall - r2)] });
      else if (r2 <= (wall + step) ** 2) all.push({ r2, of: [i, j, null] });
    }
  return all.sort((a, b) => a.r2 - b.r2).map(({ of }) => of);
}

/** What two lists of stretches have in common, the second's drawn in at both ends. */
function shrunk(a: Stretches, b: Stretches, by: number): Stretches {
  const out: number[] = [];
  for (let k = 0; k < a.length; k += 2)
    for (let m = 0; m < b.length; m += 2) {
      const low = Math.max(a[k], b[m] + by);
      const high = Math.min(a[k + 1], b[m + 1] - by);
      if (high > low) out.push(low, high);
    }
  return out;
}

/** Distance from a ray to the silhouette's border, or `most` where that is nearer. */
function toBorder({ border, step }: Grid, row: number, x: number, y: number, most: number): number {
  let least = most * most;
  const rows = Math.ceil(most / step);
  for (let i = Math.max(0, row - rows); i <= Math.min(border.length - 1, row + rows); i++)
    for (const [bx, by] of border[i]) least = Math.min(least, (bx - x) ** 2 + (by - y) ** 2);
  return Math.sqrt(least);
}

/** Rays over all of the part, and the places where its silhouette crosses the grid's lines. */
function gridOf(columns: PartColumns, wall: number): Grid {
  const [from, to] = columns.xRange;
  const [low, high] = heightsOf(columns);
  const usual = Math.min(COARSEST_MM, Math.max(FINEST_MM, wall * WALL_SHARE));
  const step = Math.max(usual, Math.sqrt(((to - from) * (high - low)) / MOST_RAYS));
  const [nx, ny] = [Math.ceil((to - from) / step), Math.ceil((high - low) / step)];
  // The grid is centred, so that a part alike at both ends is read alike.
  const x0 = (from + to - (nx - 1) * step) / 2;
  const y0 = (low + high - (ny - 1) * step) / 2;
  const rows: Stretches[][] = [];
  const border: [number, number][][] = [];
  for (let i = 0; i < nx; i++) {
    const x = x0 + i * step;
    const ys = columns.at(x);
    rows.push(Array.from({ length: ny }, (_, j) => columns.column(y0 + j * step)));
    border.push(columns.edgesAlong(ys).map((y) => [x, y]));
  }
  // Along x the border is looked for between rays of which one has something and the other nothing.
  const has = (x: number, y: number) => {
    if (x <= from || x >= to) return false;
    columns.at(x);
    return columns.column(y).length > 0;
  };
  for (let j = 0; j < ny; j++) {
    const y = y0 + j * step;
    for (let i = -1; i < nx; i++) {
      const [a, b] = [(rows[i]?.[j]?.length ?? 0) > 0, (rows[i + 1]?.[j]?.length ?? 0) > 0];
      if (a === b) continue;
      const x = x0 + i * step;
      const at = bisectRoughly((v) => has(v, y) === a, x, x + step);
      border[Math.min(nx - 1, Math.max(0, i))].push([at, y]);
    }
  }
  return { step, x0, y0, columns: rows, border };
}

/** Stations at which the part's heights are read. */
const HEIGHT_STATIONS = 60;

function heightsOf(columns: PartColumns): [number, number] {
  const [from, to] = columns.xRange;
  let [low, high] = [Number.POSITIVE_INFINITY, Number.NEGATIVE_INFINITY];
  for (let i = 0; i <= HEIGHT_STATIONS; i++) {
    const edges = columns.edgesAlong(
      columns.at(from + ((to - from) * (i + 0.001)) / (HEIGHT_STATIONS + 0.002)),
    );
    if (edges.length === 0) continue;
    low = Math.min(low, edges[0]);
    high = Math.max(high, edges[edges.length - 1]);
  }
  return low < high ? [low, high] : [0, 0];
}

/** Where a property that holds at a ends before b, to a hundredth of the way. */
function bisectRoughly(holds: (x: number) => boolean, a: number, b: number): number {
  let [lo, hi] = [a, b];
  for (let k = 0; k < 6; k++) {
    const middle = (lo + hi) / 2;
    if (holds(middle)) lo = middle;
    else hi = middle;
  }
  return (lo + hi) / 2;
}
