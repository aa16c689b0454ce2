import type { Slice } from "../solids/slice";

/**
 * Which parts a ray through one cut meets, kept up while the ray moves to higher y: only what begins or ends between
 * two rays is looked at. A part is met where all the regions that it names are.
 */
export class Presence {
  /** The parts that the ray meets, by precedence. */
  readonly here: number[] = [];
  private readonly partsOf: readonly number[][];
  /** How many regions each part names, and how many of them the ray is outside of. */
  private readonly named: Int32Array;
  private readonly missing: Int32Array;
  private readonly inside: Uint8Array;
  private readonly changes: { y: number; region: number }[] = [];
  private next = 0;

  constructor(partRegions: readonly (readonly number[])[], regionCount: number) {
    const partsOf: number[][] = Array.from({ length: regionCount }, () => []);
    this.named = new Int32Array(partRegions.length);
    partRegions.forEach((of, part) => {
      // A region named twice counts once.
      const once = new Set(of);
      this.named[part] = once.size;
      for (const r of once) partsOf[r].push(part);
    });
    this.partsOf = partsOf;
    this.missing = new Int32Array(partRegions.length);
    this.inside = new Uint8Array(regionCount);
  }

  /** Begins a cut below all that it holds. `active` lists the regions that may have a slice there. */
  begin(slices: readonly (Slice | null)[], active: readonly number[]): void {
    const { changes, missing, inside } = this;
    this.here.length = 0;
    changes.length = 0;
    this.next = 0;
    inside.fill(0);
    missing.set(this.named);
    for (const r of active) {
      const s = slices[r];
      if (!s) continue;
      if (s.ys === null) this.turn(r);
      else
        for (let k = 0; k + 1 < s.ys.length; k += 2)
          if (s.ys[k + 1] > s.ys[k]) changes.push({ y: s.ys[k], region: r }, { y: s.ys[k + 1], region: r });
    }
    changes.sort((a, b) => a.y - b.y);
  }

  /** Moves the ray up to y, which lies on no border. */
  moveTo(y: number): void {
    const { changes } = this;
    while (this.next < changes.length && changes[this.next].y < y) this.turn(changes[this.next++].region);
  }

  /** Steps into a region, or out of it. */
  private turn(region: number): void {
    const { inside, missing, here } = this;
    const now = inside[region] === 0;
    inside[region] = now ? 1 : 0;
    for (const part of this.partsOf[region]) {
      if (now && --missing[part] === 0) here.splice(placeIn(here, part), 0, part);
      else if (!now && missing[part]++ === 0) here.splice(placeIn(here, part), 1);
    }
  }
}

/** Where a number stands, or would stand, in an ascending list. */
function placeIn(list: readonly number[], wanted: number): number {
  let low = 0;
  let high = list.length;
  while (low < high) {
    const mid = (low + high) >> 1;
    if (list[mid] < wanted) low = mid + 1;
    else high = mid;
  }
  return low;
}
