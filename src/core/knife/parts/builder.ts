import { layerRegion } from "../../geometry/solids/layer";
import type { Line } from "../../geometry/solids/line";
import type { Region } from "../../geometry/solids/region";
import type { Design } from "../design/schema";
import type { Layout } from "../shapes/types";
import { type PartKey, partId } from "./partKey";
import type { Assembly, MadeOtherwise, MaterialShare, Part, PartGroup } from "./types";

/** Regions of an assembly that together are one stretch of something, by their numbers; a list for each stretch. */
export type Stretches = readonly (readonly number[])[];

/** An assembly while its parts are put together. What it is built from stands in the layout. */
export class AssemblyBuilder {
  private readonly regions: Region[] = [];
  private readonly parts: Part[] = [];
  private readonly numbers = new Map<Region, number>();

  constructor(readonly layout: Layout) {}

  get design(): Design {
    return this.layout.design;
  }

  /** The number of a region; one that was put before keeps its own. */
  put(region: Region): number {
    let number = this.numbers.get(region);
    if (number === undefined) {
      number = this.regions.push(region) - 1;
      this.numbers.set(region, number);
    }
    return number;
  }

  putAll(stretches: readonly (readonly Region[])[]): number[][] {
    return stretches.map((of) => of.map((r) => this.put(r)));
  }

  /** Puts the space between two heights z, over some stations; null leaves that side open. */
  putLevels(low: number | null, high: number | null, xRange: readonly [number, number]): number {
    const at = (z: number | null): Line | null => (z === null ? null : { at0: z, slope: 0 });
    return this.put(layerRegion(at(low), at(high), xRange));
  }

  region(number: number): Region {
    return this.regions[number];
  }

  /** Adds a part that fills what the regions have in common. Parts of one key are one part in several places. */
  add(group: PartGroup, key: PartKey, materials: readonly MaterialShare[], ...of: readonly number[]): void {
    this.parts.push({ key, id: partId(key), group, materials, regions: of });
  }

  /** The same of a part that may be printed, have a face that is not smooth, or be weighed by itself. */
  addMade(
    { printed, worked, weighed }: MadeOtherwise,
    group: PartGroup,
    key: PartKey,
    materials: readonly MaterialShare[],
    ...of: readonly number[]
  ): void {
    this.parts.push({
      key,
      id: partId(key),
      group,
      materials,
      regions: of,
      ...(printed ? { printed } : {}),
      ...(worked ? { worked } : {}),
      ...(weighed ? { weighed } : {}),
    });
  }

  /** The same in each of several stretches, with what they have in common with further regions. */
  addIn(
    stretches: Stretches,
    group: PartGroup,
    key: PartKey,
    materials: readonly MaterialShare[],
    ...of: readonly number[]
  ): void {
    for (const stretch of stretches) this.add(group, key, materials, ...of, ...stretch);
  }

  /** Adds a stretch of a part that drawings show by itself. */
  addDetail(
    detail: NonNullable<Part["detail"]>,
    group: PartGroup,
    key: PartKey,
    materials: readonly MaterialShare[],
    ...of: readonly number[]
  ): void {
    this.parts.push({ key, id: partId(key), group, materials, regions: of, detail });
  }

  done(): Assembly {
    return { regions: this.regions, parts: this.parts };
  }
}
