import type { Design } from "../design/schema";
import { type Layout, layoutOf } from "../layout/layout";
import { type Line, layerRegion } from "../solids/layer";
import type { Region } from "../solids/region";
import type { Assembly, MaterialShare, Part, PartGroup } from "./types";

/** Regions of an assembly that together are one stretch of something, by their numbers; a list for each stretch. */
export type Stretches = readonly (readonly number[])[];

/** An assembly while its parts are put together. What it is built from stands in the layout. */
export class AssemblyBuilder {
  readonly layout: Layout;
  private readonly regions: Region[] = [];
  private readonly parts: Part[] = [];
  private readonly numbers = new Map<Region, number>();

  constructor(readonly design: Design) {
    this.layout = layoutOf(design);
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

  /** Adds a part that fills what the regions have in common. Parts of one id are one part in several places. */
  add(group: PartGroup, id: string, name: string, made: readonly MaterialShare[], ...of: number[]): void {
    this.parts.push({ id, name, group, made, regions: of });
  }

  done(): Assembly {
    return { regions: this.regions, parts: this.parts };
  }
}

/** The whole of one material. */
export const all = (materialId: string): MaterialShare[] => [{ materialId, share: 1 }];

/** The whole of one material, or nothing. */
export const filled = (materialId: string | null): MaterialShare[] => (materialId ? all(materialId) : []);
