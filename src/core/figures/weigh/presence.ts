import type { Slice } from "../../geometry/solids/slice";

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
  /** Where regions begin and end across the cut, ascending, and which; so many of them count. */
  private readonly ys: number[] = [];
  private readonly regions: number[] = [];
  private count = 0;
  private next = 0;
  /** A number for the regions that the last move stepped into or out of. */
  turned = 0;
  /** How many these were. */
  steps = 0;

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
    const { missing, inside } = this;
    this.here.length = 0;
    this.count = 0;
    this.next = 0;
    inside.fill(0);
    missing.set(this.named);
    for (const r of active) {
      const s = slices[r];
      if (!s) continue;
      if (s.ys === null) this.turn(r);
      else
        for (let k = 0; k + 1 < s.ys.length; k += 2)
          if (s.ys[k + 1] > s.ys[k]) {
            this.note(s.ys[k], r);
            this.note(s.ys[k + 1], r);
          }
    }
  }

  /** Moves the ray up to y, which lies on no border; `turned` stands for the regions that it stepped into or out of. */
  moveTo(y: number): this {
    this.turned = 0;
    this.steps = 0;
    while (this.next < this.count && this.ys[this.next] < y) {
      const region = this.regions[this.next++];
      this.turned = (this.turned + Math.imul(region + 1, 0x85ebca6b)) | 0;
      this.turn(region);
      this.steps++;
    }
    return this;
  }

  /** Puts a change in its place, behind those at the same y. */
  private note(y: number, region: number): void {
    const { ys, regions } = this;
    let k = this.count++;
    for (; k > 0 && ys[k - 1] > y; k--) {
      ys[k] = ys[k - 1];
      regions[k] = regions[k - 1];
    }
    ys[k] = y;
    regions[k] = region;
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
