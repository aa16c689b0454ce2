import type { Slice } from "../../geometry/solids/slice";
import { addFlat, addRay, type CutSums } from "./moments";
import { overRule } from "./panels";
import type { OrderPanel, Stretch } from "./stretches";

/** How many rays a cut is summed by. */
export interface RayFineness {
  readonly yPointsPerMm: number;
  readonly yPoints: readonly [number, number];
  /** Least points of a closing zone, and those of a whole one. */
  readonly zonePoints: readonly [number, number];
  /** Every panel is cut into this many equal ones. */
  readonly split: number;
}

/** Sums what lies in the panels of a cut, ray by ray. */
export class RaySums {
  // Lists that are used over and over: the stretches of a panel that a curved surface bounds, and the regions of these.
  private readonly bent: Stretch[] = [];
  private readonly bounding: number[] = [];
  private readonly low: Float64Array;
  private readonly high: Float64Array;
  /** Of each region, the panel that it bounds last. */
  private readonly bounds: Int32Array;
  private panel = 0;

  constructor(
    private readonly slices: readonly (Slice | null)[],
    private readonly fineness: RayFineness,
  ) {
    this.low = new Float64Array(slices.length);
    this.high = new Float64Array(slices.length);
    this.bounds = new Int32Array(slices.length);
  }

  /** Adds the stretches of a panel to the sums of their parts; those between flat faces in closed form. */
  add(panel: OrderPanel, stretches: readonly Stretch[], sums: readonly CutSums[]): void {
    const { slices, fineness, low, high, bent, bounding } = this;
    const { y0, y1, zone, extra } = panel;
    bent.length = 0;
    bounding.length = 0;
    this.panel++;
    for (let k = panel.first; k < panel.last; k++) {
      const s = stretches[k];
      const bends0 = this.bends(s.surface0);
      const bends1 = this.bends(s.surface1);
      if (bends0 || bends1) bent.push(s);
      else addFlat(sums[s.part], y0, y1, s.z0, s.z1);
    }
    if (bent.length === 0) return;
    const ray = (y: number, w: number) => {
      for (let k = 0; k < bounding.length; k++) {
        const r = bounding[k];
        const slice = slices[r]!;
        low[r] = slice.low(y);
        high[r] = slice.high(y);
      }
      for (let k = 0; k < bent.length; k++) {
        const { part, z0, z1, surface0, surface1 } = bent[k];
        addRay(sums[part], w, y, this.heightOf(surface0, z0), this.heightOf(surface1, z1));
      }
    };
    if (zone) {
      const s0 = zone.toParameter(y0);
      const s1 = zone.toParameter(y1);
      const [least, most] = fineness.zonePoints;
      const n = Math.min(most, Math.ceil(least + ((most - least) * Math.abs(s1 - s0)) / zone.span)) + extra;
      overRule(n, fineness.split, Math.min(s0, s1), Math.max(s0, s1), (s, w) => {
        const y = zone.yAt(s);
        ray(y, w * zone.jacobian);
      });
      return;
    }
    const [least, most] = fineness.yPoints;
    const n = extra + Math.min(most, Math.ceil(least + (y1 - y0) * fineness.yPointsPerMm));
    overRule(n, fineness.split, y0, y1, ray);
  }

  /** Height of a surface on the ray at hand: of a flat one that which it has all over. */
  private heightOf(surface: number, flat: number): number {
    const r = surface >> 1;
    if (surface < 0 || this.bounds[r] !== this.panel) return flat;
    return surface & 1 ? this.high[r] : this.low[r];
  }

  /** Whether a surface is curved; its region is then among those that bound the panel. */
  private bends(surface: number): boolean {
    const r = surface >> 1;
    if (surface < 0 || this.slices[r]!.flat) return false;
    if (this.bounds[r] !== this.panel) {
      this.bounds[r] = this.panel;
      this.bounding.push(r);
    }
    return true;
  }
}
