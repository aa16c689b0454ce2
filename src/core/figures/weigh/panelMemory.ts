import { sameData } from "../../base/sameData";
import { sameButOutline, sameOutline } from "../../geometry/solids/sameRegion";
import type { Assembly } from "../../knife/parts/types";
import type { Moments } from "./moments";
import type { Panel } from "./panels";

/** One panel as it was integrated: the regions and parts that it meets, and what of each of these parts lies in it. */
interface Known {
  readonly panel: Panel;
  readonly active: readonly number[];
  readonly present: readonly number[];
  readonly moments: readonly Readonly<Moments>[];
}

/**
 * What one integration found, panel by panel, for the next of an assembly that shares some of it: a panel is not
 * integrated again where it ends at the same stations and meets the same regions and parts. What it gives back is what an
 * integration would find, to the last digit.
 */
export class PanelMemory {
  private assembly: Assembly | null = null;
  /** The one that is integrated, and the one that it is compared with. */
  private now: Assembly | null = null;
  private before: Assembly | null = null;
  private origins: readonly number[] = [];
  private fineness: unknown = null;
  private known: ReadonlyMap<number, Known> = new Map();
  private next = new Map<number, Known>();
  /** Whether regions are the same wherever their outlines are, and whether these are the same from end to end. */
  private regionSame: readonly boolean[] = [];
  private outlineSame: readonly boolean[] = [];
  private partSame: readonly boolean[] = [];
  private held = false;

  /** From now on what is known stays as it is: all that comes is compared with the assembly of the last integration. */
  hold(): void {
    this.held = true;
  }

  /** Begins an integration; `origins` are those of the parts' moments. */
  begin(assembly: Assembly, origins: readonly number[], fineness: unknown): void {
    const before = this.assembly;
    const comparable =
      before !== null && this.fineness === fineness && before.parts.length === assembly.parts.length;
    this.now = assembly;
    this.before = before;
    this.regionSame = assembly.regions.map(
      (r, i) => comparable && i < before.regions.length && sameButOutline(r, before.regions[i]),
    );
    this.outlineSame = assembly.regions.map(
      (r, i) => this.regionSame[i] && sameData(r.outline?.cubics, before?.regions[i].outline?.cubics),
    );
    this.partSame = assembly.parts.map(
      ({ regions }, i) =>
        comparable &&
        Object.is(origins[i], this.origins[i]) &&
        sameList(regions, before.parts[i].regions) &&
        regions.every((r) => this.regionSame[r]),
    );
    if (this.held) return;
    this.assembly = assembly;
    this.origins = origins;
    this.fineness = fineness;
    this.next = new Map();
  }

  /** What of each present part lies in a panel, where it is known. */
  recall(
    panel: Panel,
    active: readonly number[],
    present: readonly number[],
  ): readonly Readonly<Moments>[] | null {
    const known = this.known.get(panel.a);
    if (
      !known ||
      known.panel.b !== panel.b ||
      known.panel.rootLow !== panel.rootLow ||
      known.panel.rootHigh !== panel.rootHigh ||
      !sameList(known.active, active) ||
      !sameList(known.present, present) ||
      !active.every((r) => this.isSame(r, panel)) ||
      !present.every((i) => this.partSame[i])
    )
      return null;
    if (!this.held) this.next.set(panel.a, known);
    return known.moments;
  }

  keep(
    panel: Panel,
    active: readonly number[],
    present: readonly number[],
    moments: readonly Moments[],
  ): void {
    if (!this.held) this.next.set(panel.a, { panel, active, present, moments });
  }

  /** Whether a region has the cuts in a panel that it had. */
  private isSame(r: number, { a, b }: Panel): boolean {
    if (!this.regionSame[r]) return false;
    return (
      this.outlineSame[r] || sameOutline(this.now?.regions[r].outline, this.before?.regions[r].outline, a, b)
    );
  }

  /** Ends an integration. */
  end(): void {
    if (!this.held) this.known = this.next;
  }
}

function sameList(a: readonly number[], b: readonly number[]): boolean {
  return a.length === b.length && a.every((v, i) => v === b[i]);
}
