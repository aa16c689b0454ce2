import { own } from "../base/own";
import type { Design } from "../knife/design/schema";
import type { PlanRecord } from "./record";
import type { TaskKind } from "./taskKinds";

/** What the steel of blade and tang is like by what has been done to it. */
export interface SteelState {
  readonly blade: "soft" | "hardened" | "tempered" | "bought-hard" | "annealed";
  /** Drawn soft by itself, the edge kept cold. */
  readonly tangSoft: boolean;
}

/** The steel's state as far as the work has come: a blade in the hand is hard until it is annealed. */
export function steelState({ blade }: Pick<Design, "blade">, { done }: PlanRecord): SteelState {
  const is = (kind: TaskKind) => own(done, kind) !== undefined;
  const tangSoft = is("soften-tang");
  if (is("temper") && is("harden")) return { blade: "tempered", tangSoft };
  if (is("harden")) return { blade: "hardened", tangSoft };
  if (blade.measured) return { blade: is("anneal") ? "annealed" : "bought-hard", tangSoft };
  return { blade: "soft", tangSoft: true };
}

/** Tasks that cut the tang: in hard steel they need carbide, or the tang drawn soft. */
const CUTS_TANG: readonly TaskKind[] = [
  "drill-tang",
  "drill-one-pass",
  "file-tang",
  "thread-tang",
  "stamp-mark",
];

/** Whether a task would cut hard steel as the work stands. */
export const cutsHardSteel = (kind: TaskKind, { blade, tangSoft }: SteelState): boolean =>
  CUTS_TANG.includes(kind) && blade !== "soft" && blade !== "annealed" && !tangSoft;
