"use client";
import { memo } from "react";
import { lengthUnitName, printLengthBare, printMass, type UnitSystem } from "@/core/base/units/print";
import { groupPulls } from "@/core/figures/weigh/pulls";
import type { MassReport } from "@/core/figures/weigh/report";
import type { PartGroup } from "@/core/knife/parts/types";
import { GROUP_WORDS, pullSentence } from "@/words/pulls";
import { color } from "../kit/theme";
import { GROUP_TINT } from "./MomentStrip";
import { type Picked, useStrip } from "./StripContext";

/**
 * The groups of the strip: what each weighs, and what it adds to the balance. Pointed at, its bars stand out. Plain
 * elements: it is drawn again with every step of a drag.
 */
export const StripKey = memo(function StripKey({ report, units }: { report: MassReport; units: UnitSystem }) {
  const { picked, pick } = useStrip();
  return (
    // biome-ignore lint/a11y/useSemanticElements: lines of a key are no field set
    <div role="group" aria-label="Groups of parts" data-testid="strip-groups" className="strip-key">
      <div style={{ color: color("graphite") }}>Weight · moves, {lengthUnitName(units)}</div>
      {groupPulls(report).map((g) => {
        const adds = g.addsMm ?? 0;
        return (
          <GroupLine
            key={g.group}
            group={g.group}
            figures={`${printMass(g.massG, units)} · ${adds > 0 ? "+" : ""}${printLengthBare(adds, units)}`}
            says={pullSentence(GROUP_WORDS[g.group], g, units)}
            picked={picked?.kind === "group" && picked.group === g.group}
            pick={pick}
          />
        );
      })}
    </div>
  );
});

interface GroupLineProps {
  readonly group: PartGroup;
  readonly figures: string;
  readonly says: string;
  readonly picked: boolean;
  readonly pick: (to: Picked | null) => void;
}

const GroupLine = memo(function GroupLine({ group, figures, says, picked, pick }: GroupLineProps) {
  const on = () => pick({ kind: "group", group });
  const off = () => pick(null);
  return (
    <button
      type="button"
      aria-label={says}
      onPointerEnter={on}
      onPointerLeave={off}
      onFocus={on}
      onBlur={off}
      onClick={on}
      style={{ background: picked ? color("rule") : undefined }}
    >
      <span className="strip-tint" style={{ background: GROUP_TINT[group] }} />
      {GROUP_WORDS[group]}
      <span className="strip-figures" style={{ color: color("graphite") }}>
        {figures}
      </span>
    </button>
  );
});
