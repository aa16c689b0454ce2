import { materialsIn } from "../../../knife/design/materials";
import { heatOf } from "../../../materials/heat";
import { bladeBox } from "../../fit/bladeStock";
import { found, PRACTICE, type Rule } from "./context";

/** Whether the shop has a source that is hot enough for the blade's steel, and holds it where that has to be held. */
const heat: Rule = {
  code: "steel-needs-more-heat",
  limit: 0,
  unit: "none",
  source: "hardening temperatures as makers tell them and from memory: the mill's sheet decides",
  check: (c) => {
    const { blade, workshop } = c.design;
    const { heatSources: sources } = workshop;
    const steel = materialsIn(c.design)(blade.steel);
    const asked = heatOf(steel);
    // A shop that names no source has it done elsewhere; a blade in the hand is hard already.
    if (sources.length === 0 || blade.measured || !asked?.hardenC) return [];
    const { low } = asked.hardenC;
    if (sources.some((s) => s.mostC >= low && (s.holds || !asked.held))) return [];
    const hottest = sources.reduce((most, s) => Math.max(most, s.mostC), 0);
    return [
      found("steel-needs-more-heat", "warning", {
        subject: blade.steel,
        part: { kind: "blade" },
        measured: hottest,
        limit: low,
      }),
    ];
  },
};

/** Whether blade and tang lie in the longest source that is hot enough. */
const longest: Rule = {
  code: "longer-than-its-heat",
  limit: 0,
  unit: "mm",
  source: PRACTICE,
  check: (c) => {
    const { blade, workshop } = c.design;
    const asked = heatOf(materialsIn(c.design)(blade.steel));
    if (blade.measured || !asked?.hardenC) return [];
    const { low } = asked.hardenC;
    const hot = workshop.heatSources.filter((s) => s.mostC >= low && (s.holds || !asked.held));
    if (hot.length === 0) return [];
    const room = hot.reduce((most, s) => Math.max(most, s.longestMm), 0);
    const { lengthMm } = bladeBox(c.design);
    if (lengthMm <= room + c.limit("longer-than-its-heat")) return [];
    return [
      found("longer-than-its-heat", "warning", { part: { kind: "blade" }, measured: lengthMm, limit: room }),
    ];
  },
};

export const HEAT_RULES: readonly Rule[] = [heat, longest];
