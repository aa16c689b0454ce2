import type { Contour } from "../curve/contour";
import { type Profile, profileThrough } from "../curve/profile";
import type { Design } from "../design/schema";
import { type Line, layerRegion } from "../solids/layer";
import type { Region } from "../solids/region";
import { handleFront } from "./guards";
import { handleOutline } from "./handleOutline";
import { tangHalf } from "./tangHalf";
import type { MaterialShare, Part, PartGroup } from "./types";

/** What the building of an assembly passes round: the design, what is known of it, and what is built so far. */
export interface Building {
  readonly design: Design;
  readonly outline: Contour;
  /** Stations that the handle lies between. */
  readonly behind: readonly [number, number];
  /** Half the tang's thickness, or the frame's that it lies in. */
  readonly half: Line;
  readonly right: Profile;
  readonly left: Profile;
  readonly regions: Region[];
  readonly parts: Part[];
  put(region: Region): number;
  /** Adds a part that fills what the regions have in common. Parts of one id are one part in several places. */
  add(group: PartGroup, id: string, name: string, made: readonly MaterialShare[], ...of: number[]): void;
}

export function beginning(design: Design): Building {
  const outline = handleOutline(design.handle);
  const regions: Region[] = [];
  const parts: Part[] = [];
  const { plan } = design.handle;
  return {
    design,
    outline,
    behind: [outline.xRange[0], handleFront(design)],
    half: tangHalf(design, outline.xRange[0]),
    right: profileThrough(plan.map((p) => ({ x: p.xMm, v: p.halfMm }))),
    left: profileThrough(plan.map((p) => ({ x: p.xMm, v: p.leftHalfMm ?? p.halfMm }))),
    regions,
    parts,
    put: (region) => regions.push(region) - 1,
    add: (group, id, name, made, ...of) => {
      parts.push({ id, name, group, made, regions: of });
    },
  };
}

/** The whole of one material. */
export const all = (materialId: string): MaterialShare[] => [{ materialId, share: 1 }];

/** The whole of one material, or nothing. */
export const filled = (materialId: string | null): MaterialShare[] => (materialId ? all(materialId) : []);

/** Puts the space between two heights z, over some stations. */
export function putLevels(
  b: Building,
  low: number | null,
  high: number | null,
  xRange: readonly [number, number],
) {
  const at = (z: number | null): Line | null => (z === null ? null : { at0: z, slope: 0 });
  return b.put(layerRegion(at(low), at(high), xRange));
}
