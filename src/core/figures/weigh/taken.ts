/** Told of each free piece: the part it goes to, from z0 to z1, and the surfaces that bound it. */
export type Piece = (part: number, z0: number, z1: number, surface0: number, surface1: number) => void;

/** Faces nearer to each other than this are one, mm: they were worked out in two ways. */
export const SAME_FACE_MM = 1e-9;

/** The stretches of one ray that are already filled, ascending and apart, with the surfaces that bound them. */
export class Taken {
  private readonly from: number[] = [];
  private readonly to: number[] = [];
  private readonly fromSurface: number[] = [];
  private readonly toSurface: number[] = [];
  private count = 0;

  clear(): void {
    this.count = 0;
  }

  /** Hands the free pieces of [z0, z1] to a part, then fills it. Surfaces are numbers that the caller understands. */
  claim(part: number, z0: number, z1: number, surface0: number, surface1: number, piece: Piece): void {
    const { from, to, fromSurface, toSurface } = this;
    let first = 0;
    while (first < this.count && to[first] < z0) first++;
    let last = first;
    let at = z0;
    let atSurface = surface0;
    let start = z0;
    let startSurface = surface0;
    let end = z1;
    let endSurface = surface1;
    for (; last < this.count && from[last] <= z1; last++) {
      if (from[last] > at)
        piece(part, at, from[last], atSurface, from[last] > z1 - SAME_FACE_MM ? surface1 : fromSurface[last]);
      if (to[last] > at) {
        // Of two faces that are one, the part's own bounds it.
        if (to[last] > at + SAME_FACE_MM || at !== z0) atSurface = toSurface[last];
        at = to[last];
      }
      if (from[last] < start) {
        start = from[last];
        startSurface = fromSurface[last];
      }
      if (to[last] > end) {
        end = to[last];
        endSurface = toSurface[last];
      }
    }
    if (z1 > at) piece(part, at, z1, atSurface, surface1);
    this.shift(first, last);
    from[first] = start;
    to[first] = end;
    fromSurface[first] = startSurface;
    toSurface[first] = endSurface;
  }

  /** Makes room for one stretch in place of those from `first` up to `last`. */
  private shift(first: number, last: number): void {
    const by = 1 - (last - first);
    if (by > 0) for (let k = this.count - 1; k >= last; k--) this.copy(k, k + by);
    if (by < 0) for (let k = last; k < this.count; k++) this.copy(k, k + by);
    this.count += by;
  }

  private copy(k: number, to: number): void {
    this.from[to] = this.from[k];
    this.to[to] = this.to[k];
    this.fromSurface[to] = this.fromSurface[k];
    this.toSurface[to] = this.toSurface[k];
  }
}
