import type { MassReport } from "@/core/figures/weigh/report";
import { partName } from "./parts";

/** The public JSON of a weighing, the same from the shell and over HTTP. Fields and units: docs/format.md. */
export function weighingJson(report: MassReport) {
  const { massG, balanceMm, centreMm, inertiaGmm2, massIntervalG, balanceIntervalMm, parts } = report;
  return {
    massG,
    balanceMm,
    centreMm,
    inertiaGmm2,
    massIntervalG,
    balanceIntervalMm,
    parts: parts.map(({ id, key, material, volumeMm3, massG: partG, centreMm: centre }) => ({
      id,
      name: partName(key),
      material,
      volumeMm3,
      massG: partG,
      centreMm: centre,
    })),
  };
}
