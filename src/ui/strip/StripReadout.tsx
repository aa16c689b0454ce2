"use client";
import { printMass, type UnitSystem } from "@/core/base/units/print";
import { type PartPull, type Pull, pullOf } from "@/core/figures/weigh/pulls";
import type { MassReport } from "@/core/figures/weigh/report";
import type { MaterialOf } from "@/core/materials/types";
import { partName } from "@/words/parts";
import { addsWords, armWords, GROUP_WORDS, madeWords } from "@/words/pulls";
import { DrawnText } from "../drawing/Text";
import { useMaterialOf } from "../kit/materials";
import { type Picked, useStrip } from "./StripContext";

interface ReadoutProps {
  readonly report: MassReport;
  readonly pulls: ReadonlyMap<string, PartPull>;
  readonly units: UnitSystem;
  /** Its right end and its first line, px. */
  readonly x: number;
  readonly y: number;
}

/** What pulls where, or what is pointed at and what it does to the balance. */
export function StripReadout({ report, pulls, units, x, y }: ReadoutProps) {
  const materialOf = useMaterialOf();
  const { picked } = useStrip();
  const said = picked && saidOf(picked, report, pulls, materialOf);
  return (
    <g data-testid="strip-readout">
      <DrawnText x={x} y={y} anchor="end" bold>
        {said ? said.name : "What pulls where"}
      </DrawnText>
      {said && (
        <>
          <DrawnText x={x} y={y + 18} anchor="end" tint="ink">
            {printMass(said.pull.massG, units)}
            {said.of}
          </DrawnText>
          <DrawnText x={x} y={y + 35} anchor="end" tint="ink">
            {armWords(said.pull, units)}
          </DrawnText>
          <DrawnText x={x} y={y + 52} anchor="end" bold tint="bronze">
            {addsWords(said.pull, units)}
          </DrawnText>
        </>
      )}
    </g>
  );
}

function saidOf(
  picked: Picked,
  report: MassReport,
  pulls: ReadonlyMap<string, PartPull>,
  materialOf: MaterialOf,
): { name: string; of: string; pull: Pull } | null {
  if (picked.kind === "part") {
    const pull = pulls.get(picked.id);
    return pull
      ? { name: partName(pull.part.key), of: ` of ${madeWords(pull.part.material, materialOf)}`, pull }
      : null;
  }
  const parts = report.parts.filter((p) => p.group === picked.group);
  const pull = pullOf(report, parts);
  return pull.massG > 0 ? { name: GROUP_WORDS[picked.group], of: " together", pull } : null;
}
