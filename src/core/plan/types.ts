import type { CutKey } from "../knife/parts/cutKey";
import type { Side } from "../knife/parts/partKey";
import type { Resource, TaskKind } from "./taskKinds";

/** Whether bevels are ground before the blade is hardened, or after. */
export const GRIND_SCHOOLS = ["harden-first", "grind-first"] as const;
/** How scales are drilled: with the tang in one pass, one after the other, or one glued on and drilled through. */
export const DRILL_SCHOOLS = ["by-scale", "one-pass", "through-glued"] as const;

/** What is done to the blade's faces once they are finished by hand. */
export const SURFACES = ["satin", "buffed", "acid", "acid-tumbled", "darkened"] as const;

/** Whether a blade that comes hard keeps its hardness, or is annealed whole, worked on and hardened again. */
export const BOUGHT = ["kept-hard", "annealed"] as const;

/** So many pieces are made of one design at most. */
export const MOST_PIECES = 100;

/** When a knife is weighed while it is made. */
export const STAGES = ["dry-fit", "shaped", "finished"] as const;
export type Stage = (typeof STAGES)[number];

/** Where sizes of a knife are taken. */
export const SIZE_PLACES = [
  "overall-length",
  "blade-length",
  "blade-thickness",
  "guard-height",
  "guard-thickness",
  "handle-length",
  "handle-thickness-front",
  "handle-thickness-middle",
  "handle-thickness-rear",
  "handle-height-front",
  "handle-height-middle",
  "handle-height-rear",
] as const;
export type SizePlace = (typeof SIZE_PLACES)[number];

/** What a task may wait for besides others: its maker has put it there, or what is ordered, or the customer. */
export const HOLD_REASONS = ["chosen", "delivery", "customer"] as const;

/** How a maker works, where there is a choice that changes the order. */
export interface Schools {
  readonly grind: (typeof GRIND_SCHOOLS)[number];
  readonly drill: (typeof DRILL_SCHOOLS)[number];
  readonly surface: (typeof SURFACES)[number];
  readonly bought: (typeof BOUGHT)[number];
}

export const USUAL_SCHOOLS: Schools = {
  grind: "harden-first",
  drill: "by-scale",
  surface: "satin",
  bought: "kept-hard",
};

/** Why one task waits for another. */
export const REASONS = [
  "marked-out-first",
  "soft-steel",
  "alike-when-hardened",
  "tempered-soon",
  "edge-left",
  "cold-before-temper",
  "straight-first",
  "shape-first",
  "slot-follows-tang",
  "finished-before-guard",
  "blade-through-guard",
  "guard-before-holes",
  "seat-moves",
  "pin-before-next",
  "through-the-first",
  "held-by-glue",
  "faces-unreachable",
  "joints-aligned",
  "seats-from-face",
  "bore-before-fit",
  "unhardened-tang",
  "thread-soft",
  "last-fit-first",
  "last-chance",
  "clean-joint",
  "pot-life",
  "too-cold",
  "cured",
  "peen-shapes",
  "flush-first",
  "smooth-first",
  "covered-last",
  "etch-after-grind",
  "deep-mark-first",
  "blade-taped",
  "sharp-last",
  "everything-on",
  "way-back",
  "as-you-say",
] as const;
export type Reason = (typeof REASONS)[number];

/** What must be done before, its wait over; how long before at least and at most, min; and why. */
export interface Need {
  readonly id: string;
  readonly minLagMin: number;
  /** Null where it may wait as long as it likes. */
  readonly maxLagMin: number | null;
  readonly why: Reason;
}

/** Every kind of task that changes the blade's surface, in order: what waits for a finished blade waits for all of them. */
export const SURFACE_TASKS = [
  "surface-blade",
  "buff",
  "etch",
  "acid-etch",
  "tumble",
  "darken",
] as const satisfies readonly TaskKind[];

/** What a task is done to, where there are several alike: a side, a piece that is sawn, or one by its number. */
export type Subject =
  | { readonly kind: "side"; readonly side: Side }
  | { readonly kind: "piece"; readonly piece: CutKey }
  | { readonly kind: "number"; readonly number: number };

/** One thing to do, or to look at, in making a knife. Minutes are rough figures to begin from. */
export interface Task {
  readonly id: string;
  readonly kind: TaskKind;
  readonly of: Subject | null;
  readonly needs: readonly Need[];
  readonly activeMin: number;
  /** Nothing is done to it for so long afterwards: it cools, cures or dries. */
  readonly waitMin: number;
  readonly resources: readonly Resource[];
  /** Whether what it does cannot be taken back. */
  readonly noReturn: boolean;
  /** Whether it is a look at what was done, with a way back where it fails. */
  readonly inspection: boolean;
}
