import type { Slice } from "../../geometry/solids/slice";
import type { Assembly } from "../../knife/parts/types";
import { commonRange } from "./commonRange";
import { Taken } from "./taken";

/** Stretches of z that a part fills on one ray: z0, z1, z0, z1 …, ascending. */
export type Stretches = readonly number[];

/** Stretches nearer to each other than this are one, mm: two places of one part that touch. */
const TOUCHING_MM = 1e-6;

/** What the parts of one id fill, on any ray along z: read one cut at a time. */
export class PartColumns {
  readonly xRange: readonly [number, number];
  private readonly own: ReadonlySet<number>;
  /** Parts that may take of its space, and itself, by precedence; and the regions that they name. */
  private readonly parts: readonly number[];
  private readonly regions: readonly number[];
  private readonly slices: (Slice | null)[];
  private readonly taken = new Taken();
  /** The parts that are in the cut at hand, by precedence, with the cuts that they have in common. */
  private here: { readonly own: boolean; readonly cuts: readonly Slice[] }[] = [];
  private found: number[] = [];
  private others: [number, number] = [Number.POSITIVE_INFINITY, Number.NEGATIVE_INFINITY];
  private readonly keep = (own: number, from: number, to: number) => {
    if (own === 1) this.found.push(from, to);
    else this.others = [Math.min(this.others[0], from), Math.max(this.others[1], to)];
  };

  constructor(
    private readonly assembly: Assembly,
    id: string,
  ) {
    const { parts, regions } = assembly;
    const rangeOf = (i: number) => commonRange(parts[i].regions.map((r) => regions[r].xRange));
    const own = parts.flatMap((p, i) => (p.id === id ? [i] : []));
    const ranges = own.map(rangeOf).filter(([a, b]) => b > a);
    this.xRange = [Math.min(...ranges.map((r) => r[0])), Math.max(...ranges.map((r) => r[1]))];
    this.own = new Set(own);
    const last = Math.max(-1, ...own);
    this.parts = parts.flatMap((_, i) => {
      const [a, b] = rangeOf(i);
      return i <= last && b > this.xRange[0] && a < this.xRange[1] ? [i] : [];
    });
    this.regions = [...new Set(this.parts.flatMap((i) => parts[i].regions))];
    this.slices = new Array(regions.length).fill(null);
  }

  /** All that the columns are made from: regions, and which of them each part has in common. */
  get from() {
    const { parts, regions } = this.assembly;
    return {
      regions: this.regions.map((r) => regions[r]),
      parts: this.parts.map(
        (i) => [this.own.has(i), parts[i].regions.map((r) => this.regions.indexOf(r))] as const,
      ),
    };
  }

  /** Turns to the cut at x; answers the heights at which what is there may change. */
  at(x: number): number[] {
    const ys: number[] = [];
    const { parts, regions } = this.assembly;
    for (const r of this.regions) {
      const { xRange } = regions[r];
      const slice = x > xRange[0] && x < xRange[1] ? regions[r].sliceAt(x) : null;
      this.slices[r] = slice;
      if (slice?.ys) ys.push(...slice.ys);
    }
    this.here = [];
    for (const i of this.parts) {
      const cuts: Slice[] = [];
      for (const r of parts[i].regions) {
        const slice = this.slices[r];
        if (slice) cuts.push(slice);
      }
      if (cuts.length === parts[i].regions.length) this.here.push({ own: this.own.has(i), cuts });
    }
    // A cut without any of the part itself has nothing to take from.
    if (!this.here.some((p) => p.own)) this.here = [];
    return ys.sort((a, b) => a - b);
  }

  /** Heights of the cut at hand at which the part begins or ends; `ys` are those where it may. */
  edgesAlong(ys: readonly number[]): number[] {
    const edges: number[] = [];
    let had = false;
    for (let k = 0; k < ys.length; k++) {
      const next = ys[k + 1];
      const has = next !== undefined && next > ys[k] && this.column((ys[k] + next) / 2).length > 0;
      if (next !== undefined && !(next > ys[k])) continue;
      if (has !== had) edges.push(ys[k]);
      had = has;
    }
    return edges;
  }

  /**
   * Height z of the part's surface on one side of the ray at y of the cut at hand; null where it is not there, or lies under
   * what takes its space from it.
   */
  surface(y: number, side: 1 | -1): number | null {
    const found = this.column(y);
    if (found.length === 0) return null;
    const z = side > 0 ? found[found.length - 1] : found[0];
    const over = side > 0 ? this.others[1] - z : z - this.others[0];
    return over > TOUCHING_MM ? null : z;
  }

  /** What it fills on the ray at y of the cut at hand. */
  column(y: number): Stretches {
    this.found = [];
    this.others = [Number.POSITIVE_INFINITY, Number.NEGATIVE_INFINITY];
    this.taken.clear();
    for (const { own, cuts } of this.here) {
      let [z0, z1] = [Number.NEGATIVE_INFINITY, Number.POSITIVE_INFINITY];
      for (const cut of cuts) {
        if (cut.ys && !within(cut.ys, y)) {
          z1 = Number.NEGATIVE_INFINITY;
          break;
        }
        z0 = Math.max(z0, cut.low(y));
        z1 = Math.min(z1, cut.high(y));
      }
      if (z1 > z0) this.taken.claim(own ? 1 : 0, z0, z1, 0, 0, this.keep);
    }
    return merged(this.found);
  }
}

function within(ys: readonly number[], y: number): boolean {
  for (let k = 0; k + 1 < ys.length; k += 2) if (y > ys[k] && y < ys[k + 1]) return true;
  return false;
}

function merged(found: readonly number[]): Stretches {
  if (found.length <= 2) return found;
  const pairs = Array.from({ length: found.length / 2 }, (_, k) => [found[2 * k], found[2 * k + 1]]);
  pairs.sort((a, b) => a[0] - b[0]);
  const out: number[] = [];
  for (const [a, b] of pairs) {
    if (out.length > 0 && a - out[out.length - 1] < TOUCHING_MM)
      out[out.length - 1] = Math.max(b, out[out.length - 1]);
    else out.push(a, b);
  }
  return out;
}
