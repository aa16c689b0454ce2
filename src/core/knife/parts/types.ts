import type { Region } from "../../geometry/solids/region";
import type { Share } from "../../kinds/fasteners/kind";
import type { Worked } from "../shapes/textures";
import type { PartKey } from "./partKey";

export type MaterialShare = Share;

/** What a part belongs to, for grouping and for order on screen. */
export const PART_GROUPS = ["blade", "guard", "handle", "pommel", "fasteners"] as const;
export type PartGroup = (typeof PART_GROUPS)[number];

/** How a part is printed: share of infill and thickness of the solid wall. */
export interface Printed {
  readonly infillShare: number;
  readonly wallMm: number;
}

/** What a group of parts weighs by itself, as a scale says. */
export interface WeighedAlone {
  readonly group: string;
  readonly massG: number;
  readonly offG: number;
}

/** What of a part is otherwise than solid and smooth, by its drawing alone. */
export interface MadeOtherwise {
  readonly printed?: Printed | null;
  readonly worked?: Worked | null;
  readonly weighed?: WeighedAlone | null;
}

/** One solid part, or a void that only takes space from later ones. */
export interface Part {
  readonly key: PartKey;
  /** Follows from the key: parts of one id are one part in several places. */
  readonly id: string;
  readonly group: PartGroup;
  /** Shares add up to 1, to more where it is pressed; an empty list is a void. */
  readonly materials: readonly MaterialShare[];
  /** How it is printed: a solid wall, and infill inside; of a part that is not printed, left out. */
  readonly printed?: Printed;
  /** Its face that is not smooth; of a part whose faces are, left out. */
  readonly worked?: Worked;
  /** What it is drawn of, where a reading stands in for its materials. */
  readonly drawnOf?: readonly MaterialShare[];
  /** What the parts of its group weigh together; of parts that were not weighed by themselves, left out. */
  readonly weighed?: WeighedAlone;
  /** Indices into the assembly's regions: the part fills what they have in common. */
  readonly regions: readonly number[];
  /** A stretch of the part that drawings show by itself. */
  readonly detail?: "peened-head";
}

/**
 * What occupies which space. Parts stand in order of precedence: each takes what the earlier ones leave of the
 * regions it names.
 */
export interface Assembly {
  readonly regions: readonly Region[];
  readonly parts: readonly Part[];
}
