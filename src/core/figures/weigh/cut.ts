import type { ClosingZone } from "../../geometry/solids/closingZone";
import type { Slice } from "../../geometry/solids/slice";
import type { Assembly } from "../../knife/parts/types";
import type { CutSums } from "./moments";
import { yPanels } from "./panels";
import { Presence } from "./presence";
import { probe, probeCount } from "./probes";
import { type RayFineness, RaySums } from "./raySums";
import { type OrderPanel, putStretch, type Stretch } from "./stretches";
import { below, mixed, StructureKey } from "./structureKey";
import { SAME_FACE_MM, Taken } from "./taken";

/** A change of order is found to the stretch between two of them, halved so often. */
const HALVINGS = 14;
/** A crossing this near an end of its panel, as a share of it, is that end. */
const NEAR_END = 2e-6;
/** How far beyond a crossing the next order is read, as a share of the panel. */
const BEYOND = 1e-5;
/** A mesh with more corners across a cut than this is fine. */
const FINE_CREASES = 64;
/** A panel is parted no more often than so. */
const MOST_ORDERS = 24;

/**
 * One cut across an assembly: which part lies between which surfaces, along rays in z, from its lowest place to its
 * highest. Where the order changes within a panel of what regions declare, because two surfaces cross there, the panel
 * is parted at the crossing.
 */
export class Cut {
  private readonly slices: (Slice | null)[];
  private readonly low: Float64Array;
  private readonly high: Float64Array;
  private readonly taken = new Taken();
  private readonly presence: Presence;
  private readonly raySums: RaySums;
  private readonly partRegions: readonly (readonly number[])[];
  /** Regions of which the corners across a cut say nothing about the knife: a mesh has one at each of its edges. */
  private readonly isMesh: readonly boolean[];
  private readonly seenAt: Int32Array;
  private seen = 0;
  private isFine = false;
  // What the panel at hand meets: the regions that its parts name, and those of them that are curved.
  private readonly needed: number[] = [];
  private readonly curved: number[] = [];
  /** Of each face of the curved ones its height in the middle of the panel, and the flat faces next to it. */
  private readonly middle: number[] = [];
  private readonly floor: number[] = [];
  private readonly ceiling: number[] = [];
  private foundCount = 0;
  private order = 0;
  // Lists that are used over and over: as many of them count as are found.
  private readonly stretches: Stretch[] = [];
  private stretchCount = 0;
  private readonly panels: OrderPanel[] = [];
  private panelCount = 0;
  private readonly structure = new StructureKey();
  /** Of each region, the ray for which its faces are worked out. */
  private readonly rayAt: Int32Array;
  private ray = 0;
  private readonly keepStretch = (
    part: number,
    z0: number,
    z1: number,
    surface0: number,
    surface1: number,
  ) => {
    // Faces that are one but for rounding leave slivers between them.
    if (z1 - z0 < SAME_FACE_MM) return;
    putStretch(this.stretches, this.stretchCount + this.foundCount++, part, z0, z1, surface0, surface1);
    this.order = mixed(mixed(mixed(this.order, part + 1), surface0 + 2), surface1 + 2);
  };

  constructor(
    private readonly assembly: Assembly,
    private readonly fineness: RayFineness,
  ) {
    const { regions, parts } = assembly;
    this.slices = new Array(regions.length).fill(null);
    this.raySums = new RaySums(this.slices, fineness);
    this.low = new Float64Array(regions.length);
    this.high = new Float64Array(regions.length);
    this.seenAt = new Int32Array(regions.length);
    this.rayAt = new Int32Array(regions.length);
    this.partRegions = parts.map((p) => p.regions);
    this.presence = new Presence(this.partRegions, regions.length);
    this.isMesh = regions.map((r) => r.kind === "mesh-layer");
  }

  /**
   * Turns to the cut at x, through the regions that may be met there. Answers a number for its structure: two cuts with
   * the same one have the same parts between the same surfaces and borders, in the same order all over. Through a fine mesh
   * it is 0: there panels are short, and structures as many as its edges.
   */
  turnTo(x: number, active: readonly number[]): number {
    const { regions } = this.assembly;
    this.isFine = false;
    for (const r of active) {
      const { xRange } = regions[r];
      const slice = x > xRange[0] && x < xRange[1] ? regions[r].sliceAt(x) : null;
      this.slices[r] = slice;
      if (slice && this.isMesh[r] && slice.creases.length > FINE_CREASES) this.isFine = true;
    }
    this.needed.length = 0;
    const ys = yPanels(this.slices, active);
    this.presence.begin(this.slices, active);
    this.stretchCount = 0;
    this.panelCount = 0;
    this.structure.clear();
    for (let k = 0; k + 1 < ys.length; k++) this.readPanel(ys[k], ys[k + 1]);
    return this.isFine ? 0 : this.structure.value;
  }

  /** Adds what lies in the cut at hand to the sums of its parts. */
  addTo(sums: readonly CutSums[]): void {
    for (let k = 0; k < this.panelCount; k++) this.raySums.add(this.panels[k], this.stretches, sums);
  }

  /**
   * Tells of all that parts fill in the cut at hand: which part, from where to where along y, and along z in the middle of
   * that.
   */
  forEachFilled(visit: (part: number, y0: number, y1: number, z0: number, z1: number) => void): void {
    for (let k = 0; k < this.panelCount; k++) {
      const { y0, y1, first, last } = this.panels[k];
      for (const s of this.stretches.slice(first, last)) visit(s.part, y0, y1, s.z0, s.z1);
    }
  }

  private readPanel(y0: number, y1: number): void {
    const middle = (y0 + y1) / 2;
    const { here, turned, steps } = this.presence.moveTo(middle);
    if (here.length === 0) {
      this.needed.length = 0;
      this.structure.add(0, turned);
      return;
    }
    if (steps > 0 || this.needed.length === 0) this.enter(here);
    this.orderAt(middle);
    // Flat faces, or one surface that tells where it passes each of them: nothing crosses within the panel.
    const isGiven = this.curved.length === 1 && this.slices[this.curved[0]]!.crossings !== null;
    const one = this.isFine || this.curved.length === 0 || this.needed.length === 1 || isGiven;
    if (one || this.isSorted(y0, y1)) this.keepOrder(y0, y1, middle, turned);
    else this.partByOrder(y0, y1, turned);
  }

  /** Finds the regions that the parts of a panel name, and the heights of those that are flat. */
  private enter(here: readonly number[]): void {
    const { needed, curved, seenAt, slices, partRegions, low, high } = this;
    needed.length = 0;
    curved.length = 0;
    const seen = ++this.seen;
    for (let k = 0; k < here.length; k++) {
      const of = partRegions[here[k]];
      for (let j = 0; j < of.length; j++) {
        const r = of[j];
        if (seenAt[r] === seen) continue;
        seenAt[r] = seen;
        needed.push(r);
        const s = slices[r]!;
        if (s.flat) {
          low[r] = s.low(0);
          high[r] = s.high(0);
        } else curved.push(r);
      }
    }
  }

  /** Works out the heights of all surfaces on the ray at y. */
  private read(y: number): void {
    const { curved, slices, low, high } = this;
    for (let k = 0; k < curved.length; k++) {
      const r = curved[k];
      const s = slices[r]!;
      low[r] = s.low(y);
      high[r] = s.high(y);
    }
  }

  /**
   * Whether all surfaces that were read in the middle stand in the same order at both ends and on the way: then all parts
   * do. Flat ones keep theirs among each other: each curved one is held between its neighbours among them.
   */
  private isSorted(y0: number, y1: number): boolean {
    const { curved, needed, slices, low, high, floor, ceiling, middle } = this;
    const n = 2 * curved.length;
    for (let c = 0; c < n; c++) {
      const z = this.curvedHeight(c);
      middle[c] = z;
      floor[c] = Number.NEGATIVE_INFINITY;
      ceiling[c] = Number.POSITIVE_INFINITY;
      for (let k = 0; k < needed.length; k++) {
        const r = needed[k];
        if (!slices[r]!.flat) continue;
        const [a, b] = [low[r], high[r]];
        if (a <= z) {
          if (a > floor[c]) floor[c] = a;
        } else if (a < ceiling[c]) ceiling[c] = a;
        if (b <= z) {
          if (b > floor[c]) floor[c] = b;
        } else if (b < ceiling[c]) ceiling[c] = b;
      }
    }
    const count = probeCount(this.curved.length, this.fineness.split, y1 - y0);
    for (let i = 0; i < count; i++) {
      this.read(probe(y0, y1, i, count));
      for (let c = 0; c < n; c++) {
        const z = this.curvedHeight(c);
        if (z < floor[c] - SAME_FACE_MM || z > ceiling[c] + SAME_FACE_MM) return false;
        for (let d = 0; d < c; d++) {
          const other = this.curvedHeight(d);
          if (
            middle[d] < middle[c]
              ? other > z + SAME_FACE_MM
              : middle[d] > middle[c] && other < z - SAME_FACE_MM
          )
            return false;
        }
      }
    }
    return true;
  }

  /** Height of the c-th of the curved regions' faces, lower and upper in turn. */
  private curvedHeight(c: number): number {
    const r = this.curved[c >> 1];
    return c & 1 ? this.high[r] : this.low[r];
  }

  private partByOrder(y0: number, y1: number, turned: number): void {
    const nearEnd = (y1 - y0) * NEAR_END;
    let from = y0;
    let by = turned;
    const count = probeCount(this.curved.length, this.fineness.split, y1 - y0);
    let before = probe(y0, y1, 0, count);
    let orderBefore = this.orderAt(before);
    let parted = 0;
    for (let i = 1; i < count; i++) {
      const y = probe(y0, y1, i, count);
      const order = this.orderAt(y);
      while (order !== orderBefore && parted < MOST_ORDERS) {
        const [left, right] = this.crossing(before, y, orderBefore);
        parted++;
        // What begins or ends with the panel itself is no crossing.
        if (left - y0 > nearEnd && y1 - left > nearEnd) {
          this.addOrder(from, left, by);
          from = left;
          by = 0;
        }
        // At a crossing both faces are one: what stands there is read a little beyond it.
        before = Math.min(y, right + (y1 - y0) * BEYOND);
        orderBefore = this.orderAt(before);
      }
      before = y;
      orderBefore = order;
    }
    this.addOrder(from, y1, by);
  }

  /** The two sides, a hair apart, of the first change of order between two places. */
  private crossing(y0: number, y1: number, order0: number): [number, number] {
    let [left, right] = [y0, y1];
    for (let i = 0; i < HALVINGS; i++) {
      const middle = (left + right) / 2;
      if (this.orderAt(middle) === order0) left = middle;
      else right = middle;
    }
    return [left, right];
  }

  /** The order along the ray at y, as a number; the stretches themselves behind those that are kept. */
  private orderAt(y: number): number {
    const { low, high, partRegions, taken } = this;
    const { here } = this.presence;
    this.read(y);
    taken.clear();
    this.foundCount = 0;
    this.order = 7;
    for (let k = 0; k < here.length; k++) {
      const i = here[k];
      const of = partRegions[i];
      let z0 = Number.NEGATIVE_INFINITY;
      let z1 = Number.POSITIVE_INFINITY;
      let surface0 = -1;
      let surface1 = -1;
      for (let j = 0; j < of.length; j++) {
        const r = of[j];
        if (low[r] > z0 + SAME_FACE_MM || (surface0 < 0 && low[r] > z0)) {
          z0 = low[r];
          surface0 = 2 * r;
        }
        if (high[r] < z1 - SAME_FACE_MM || (surface1 < 0 && high[r] < z1)) {
          z1 = high[r];
          surface1 = 2 * r + 1;
        }
      }
      if (z1 > z0) taken.claim(i, z0, z1, surface0, surface1, this.keepStretch);
    }
    return this.order;
  }

  /** Keeps a panel of one order, which is read in its middle. */
  private addOrder(y0: number, y1: number, turned: number): void {
    const middle = (y0 + y1) / 2;
    this.orderAt(middle);
    this.keepOrder(y0, y1, middle, turned);
  }

  /** Keeps a panel of the order that was read at y. */
  private keepOrder(y0: number, y1: number, y: number, turned: number): void {
    const { slices, stretches, rayAt, isMesh } = this;
    const first = this.stretchCount;
    const last = first + this.foundCount;
    let extra = 0;
    let zone: ClosingZone | null = null;
    let mark = this.order;
    const ray = ++this.ray;
    for (let k = first; k < last; k++) {
      const s = stretches[k];
      for (let end = 0; end < 2; end++) {
        const surface = end === 0 ? s.surface0 : s.surface1;
        const r = surface >> 1;
        if (surface < 0 || rayAt[r] === ray) continue;
        rayAt[r] = ray;
        const slice = slices[r]!;
        if (slice.flat) continue;
        extra = Math.max(extra, slice.extraPoints);
        for (const z of slice.zones) if (y > z.y0 && y < z.y1) zone ??= z;
        if (!isMesh[r]) mark = mixed(mark, below(slice.creases, y));
      }
    }
    this.structure.add(last === first ? 0 : mark, turned);
    if (last === first) return;
    this.stretchCount = last;
    const n = this.panelCount++;
    if (n === this.panels.length) this.panels.push({ y0, y1, first, last, zone, extra });
    const panel = this.panels[n];
    panel.y0 = y0;
    panel.y1 = y1;
    panel.first = first;
    panel.last = last;
    panel.zone = zone;
    panel.extra = extra;
  }
}
