import { downToTenth } from "../../../base/number";
import { ROUNDING, SAME_PLACE_MM } from "../../../base/tolerances";
import { endKindOf } from "../../../kinds/tangEnds/registry";
import { guardSlot } from "../../fit/guardSlot";
import type { Fix, Found } from "../types";
import { found, PRACTICE, type Rule } from "./context";

const pass: Rule = {
  code: "guard-cannot-pass",
  limit: 0,
  unit: "mm",
  source: PRACTICE,
  check: ({ design, limit }) => {
    const slot = guardSlot(design, []);
    if (!slot) return [];
    const over = Math.max(slot.behind.heightMm - slot.heightMm, slot.behind.thicknessMm - slot.thicknessMm);
    if (over <= limit("guard-cannot-pass") + SAME_PLACE_MM) return [];
    const { tang } = design;
    const fix: Fix | null =
      tang.kind === "full"
        ? null
        : {
            kind: "set",
            changes: [
              { path: "tang.endHeightMm", value: Math.min(tang.endHeightMm, tang.frontHeightMm) },
              { path: "tang.endThicknessMm", value: Math.min(tang.endThicknessMm, tang.frontThicknessMm) },
            ],
          };
    const rod = tang.kind === "hidden" ? endKindOf(tang.end).rod(tang.end) : null;
    const nutted = rod?.ofTang === true && rod.diameterMm > slot.thicknessMm;
    // A full tang's guard is let on from the edge side by an open slot, or is made in two halves: to be known, not wrong.
    return [
      found("guard-cannot-pass", tang.kind === "full" ? "note" : "warning", {
        at: { x: slot.behind.atMm, y: slot.yMm },
        measured: over,
        limit: limit("guard-cannot-pass"),
        fix: nutted ? null : fix,
      }),
    ];
  },
};

const covers: Rule = {
  code: "shoulder-covers-slot",
  limit: 0.5,
  unit: "mm",
  source: PRACTICE,
  check: ({ design, limit }) => {
    const slot = guardSlot(design, []);
    const { tang } = design;
    if (!slot || tang.kind === "full") return [];
    const covers = [slot.coverAboveMm, slot.coverBelowMm].filter((mm): mm is number => mm !== null);
    if (covers.length === 0) return [];
    const least = Math.min(...covers);
    if (least >= limit("shoulder-covers-slot")) return [];
    const lower = downToTenth(tang.frontHeightMm - 2 * (limit("shoulder-covers-slot") - least));
    return [
      found("shoulder-covers-slot", "warning", {
        at: { x: 0, y: slot.yMm },
        measured: least,
        limit: limit("shoulder-covers-slot"),
        fix:
          lower >= 1
            ? {
                kind: "set",
                changes: [
                  { path: "tang.frontHeightMm", value: lower },
                  { path: "tang.endHeightMm", value: Math.min(tang.endHeightMm, lower) },
                ],
              }
            : null,
      }),
    ];
  },
};

const gap: Rule = {
  code: "slot-gap",
  limit: 0.1,
  unit: "mm",
  source: `${PRACTICE}: solder or epoxy bridges more; a spacer closes a lengthwise gap`,
  check: ({ design, layout, limit }) => {
    const { guard, tang, fitUp } = design;
    if (!guard || guard.mesh) return [];
    const full = tang.kind === "full";
    const measured = full ? fitUp.slotClearanceMm : guard.slot.clearanceMm;
    if (measured <= limit("slot-gap") + ROUNDING) return [];
    return [
      found("slot-gap", "warning", {
        at: { x: -layout.guardMm / 2, y: 0 },
        measured,
        limit: limit("slot-gap"),
        fix: {
          kind: "set",
          changes: [
            {
              path: full ? "fitUp.slotClearanceMm" : "guard.slot.clearanceMm",
              value: Math.min(0.05, limit("slot-gap")),
            },
          ],
        },
      }),
    ];
  },
};

const first: Rule = {
  code: "guard-before-holes",
  limit: 0,
  unit: "none",
  source: PRACTICE,
  check: ({ design }): Found[] =>
    design.guard && design.fasteners.length > 0 ? [found("guard-before-holes", "note")] : [],
};

export const GUARD_RULES: readonly Rule[] = [pass, covers, gap, first];
