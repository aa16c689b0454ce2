import { ROUNDING } from "../../../base/tolerances";
import type { TriangleMesh } from "../../../geometry/solids/triangleMesh";

/** A triangle lower than this over its longest side is a sliver, mm: a tenth of what a printer can place. */
export const SLIVER_MM = 1e-3;
/** Rounds of taking slivers away. */
const MOST_ROUNDS = 20;

/** Cosines of how far a triangle may turn: over a sliver's length, and over more, up to so many mm. */
const LOOSELY = 0.5;
const CLOSELY = 0.999;
const FARTHEST_MM = 0.25;

type Corner = readonly [number, number, number];

/**
 * A closed mesh without slivers, as near as that can be: sides shorter than one are drawn together, flat corners are turned
 * over to the neighbour. The mesh stays closed; its surface moves by less than a sliver's height. What cannot be taken
 * away without opening or folding it stays.
 */
export function withoutSlivers({ vertices, triangles }: TriangleMesh): TriangleMesh {
  const mesh = new Edited(vertices, triangles);
  for (let round = 0; round < MOST_ROUNDS; round++) if (mesh.clean() === 0) break;
  return mesh.done();
}

/** Height of a triangle over its longest side, and the lengths of its sides, each from its k-th corner to the next. */
function lowness(p: Corner, q: Corner, r: Corner): { height: number; sides: readonly number[] } {
  const sides = [apart(p, q), apart(q, r), apart(r, p)];
  const longest = Math.max(...sides);
  return { sides, height: longest > 0 ? Math.hypot(...cross(p, q, r)) / longest : 0 };
}

const apart = (p: Corner, q: Corner) => Math.hypot(p[0] - q[0], p[1] - q[1], p[2] - q[2]);

function cross(p: Corner, q: Corner, r: Corner): [number, number, number] {
  const [a, b] = [0, 1].map((k) => [0, 1, 2].map((d) => (k === 0 ? q[d] : r[d]) - p[d]));
  return [a[1] * b[2] - a[2] * b[1], a[2] * b[0] - a[0] * b[2], a[0] * b[1] - a[1] * b[0]];
}

class Edited {
  private readonly at: Corner[];
  /** Corners of each triangle; null where it was taken away. */
  private readonly of: ([number, number, number] | null)[];
  private readonly round: Set<number>[];

  constructor(vertices: Float32Array, triangles: Uint32Array) {
    this.at = Array.from({ length: vertices.length / 3 }, (_, i) => [
      vertices[3 * i],
      vertices[3 * i + 1],
      vertices[3 * i + 2],
    ]);
    this.of = Array.from({ length: triangles.length / 3 }, (_, i) => [
      triangles[3 * i],
      triangles[3 * i + 1],
      triangles[3 * i + 2],
    ]);
    this.round = this.at.map(() => new Set<number>());
    this.of.forEach((t, i) => {
      for (const v of t!) this.round[v].add(i);
    });
  }

  /** Takes away what slivers it can; answers how many that were. */
  clean(): number {
    let cleaned = 0;
    for (let i = 0; i < this.of.length; i++) {
      const t = this.of[i];
      if (!t) continue;
      const { height, sides } = lowness(this.at[t[0]], this.at[t[1]], this.at[t[2]]);
      if (height >= SLIVER_MM) continue;
      const byLength = [0, 1, 2].sort((p, q) => sides[p] - sides[q]);
      /** Draws one of the sides that are shorter together, the shortest first. */
      const draw = (mostMm: number, aligned: number) =>
        byLength.some((side) => {
          const [from, to] = [t[side], t[(side + 1) % 3]];
          return (
            sides[side] < mostMm && (this.collapse(from, to, aligned) || this.collapse(to, from, aligned))
          );
        });
      if (draw(2 * SLIVER_MM, LOOSELY) || this.flip(i, byLength[2]) || draw(FARTHEST_MM, CLOSELY)) cleaned++;
    }
    return cleaned;
  }

  /** Draws a side's first end onto its second, where that neither opens nor folds anything. */
  private collapse(from: number, to: number, aligned: number): boolean {
    const shared = [...this.round[from]].filter((i) => this.round[to].has(i));
    if (shared.length !== 2) return false;
    const others = (v: number) => new Set([...this.round[v]].flatMap((i) => this.of[i]!));
    const [near, far] = [others(from), others(to)];
    const common = [...near].filter((v) => v !== from && v !== to && far.has(v));
    const ends = shared.flatMap((i) => this.of[i]!.filter((v) => v !== from && v !== to));
    if (common.length !== 2 || !common.every((v) => ends.includes(v))) return false;
    const moved = [...this.round[from]].filter((i) => !shared.includes(i));
    const turned = moved.map(
      (i) => this.of[i]!.map((v) => (v === from ? to : v)) as [number, number, number],
    );
    if (!turned.every((t, k) => this.keepsFacing(this.of[moved[k]]!, t, aligned))) return false;
    for (const i of shared) this.remove(i);
    moved.forEach((i, k) => {
      this.of[i] = turned[k];
      this.round[from].delete(i);
      this.round[to].add(i);
    });
    return true;
  }

  /** Whether a triangle looks the way it did, or had no way to look before. */
  private keepsFacing(before: readonly number[], after: readonly number[], aligned: number): boolean {
    const normal = (t: readonly number[]) => cross(this.at[t[0]], this.at[t[1]], this.at[t[2]]);
    const [a, b] = [normal(before), normal(after)];
    const size = Math.hypot(...a) * Math.hypot(...b);
    if (!(Math.hypot(...a) > ROUNDING)) return true;
    return size > 0 && (a[0] * b[0] + a[1] * b[1] + a[2] * b[2]) / size > aligned;
  }

  /** Turns the side between a flat triangle and its neighbour over, where that leaves higher ones. */
  private flip(i: number, side: number): boolean {
    const t = this.of[i]!;
    const [a, b, c] = [t[side], t[(side + 1) % 3], t[(side + 2) % 3]];
    const across = [...this.round[a]].filter((k) => k !== i && this.round[b].has(k));
    if (across.length !== 1) return false;
    const [k] = across;
    const d = this.of[k]!.find((v) => v !== a && v !== b);
    if (d === undefined || d === c) return false;
    // The new side must not be there already.
    if ([...this.round[c]].some((m) => this.round[d].has(m))) return false;
    const next: [number, number, number][] = [
      [a, d, c],
      [d, b, c],
    ];
    const low = (of: readonly number[]) => lowness(this.at[of[0]], this.at[of[1]], this.at[of[2]]).height;
    const before = Math.min(low(t), low(this.of[k]!));
    if (!(Math.min(...next.map(low)) > before)) return false;
    // Both new triangles look the way of the neighbour, of which the flat one is only the border.
    if (!next.every((n) => this.keepsFacing(this.of[k]!, n, LOOSELY) || low(n) < SLIVER_MM)) return false;
    this.remove(i);
    this.remove(k);
    [i, k].forEach((at, m) => {
      this.of[at] = next[m];
      for (const v of next[m]) this.round[v].add(at);
    });
    return true;
  }

  private remove(i: number): void {
    for (const v of this.of[i]!) this.round[v].delete(i);
    this.of[i] = null;
  }

  done(): TriangleMesh {
    const number = new Map<number, number>();
    const vertices: number[] = [];
    const triangles: number[] = [];
    for (const t of this.of) {
      if (!t) continue;
      for (const v of t) {
        let known = number.get(v);
        if (known === undefined) {
          known = number.size;
          number.set(v, known);
          vertices.push(...this.at[v]);
        }
        triangles.push(known);
      }
    }
    return { vertices: Float32Array.from(vertices), triangles: Uint32Array.from(triangles) };
  }
}
