import type { Share } from "../fasteners/kind";
import type { Region } from "../solids/region";
import type { PartKey } from "./partKey";

export type MaterialShare = Share;

/** What a part belongs to, for grouping and for order on screen. */
export const PART_GROUPS = ["blade", "guard", "handle", "pommel", "fasteners"] as const;
export type PartGroup = (typeof PART_GROUPS)[number];

/** One solid part, or a void that only takes space from later ones. */
export interface Part {
  readonly key: PartKey;
  /** Follows from the key: parts of one id are one part in several places. */
  readonly id: string;
  readonly group: PartGroup;
  /** Shares add up to 1, to less where it is printed hollow, to more where it is pressed; an empty list is a void. */
  readonly materials: readonly MaterialShare[];
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
