"use client";
import { Text } from "@chakra-ui/react";
import { memo } from "react";
import { printLength, printMass } from "@/core/base/units/print";
import type { MassReport } from "@/core/figures/weigh/report";
import { USES, type UseKind } from "@/core/knife/design/schema";
import { outside } from "@/core/knife/design/uses";
import { useUnits } from "@/store/settings";
import { datumWords } from "@/words/balance";
import { USE_WORDS } from "@/words/levers";
import { LengthAt, MassAt } from "../bound/bound";
import { ChoiceField } from "../fields/ChoiceField";
import { Note, Section } from "../report/Section";
import { useBench, useDesign } from "../session/BenchContext";
import { Pulls } from "./Pulls";

/** What the knife is for, the windows that this proposes, and how far it is from them. */
export const TargetSection = memo(function TargetSection({ report }: { report: MassReport | null }) {
  const { edit } = useBench();
  const use = useDesign((d) => d.use);
  const units = useUnits();
  const datum = useDesign((d) => datumWords(d));
  const off = report && {
    balance: outside(report.balanceMm, use.balanceMm),
    mass: outside(report.massG, use.massG),
  };
  return (
    <Section
      id="target"
      title="Use and balance window"
      settingsStay
      settings={
        <>
          <ChoiceField
            label="Use"
            value={use.kind}
            choices={USES.map((value) => ({ value, name: USE_WORDS[value] }))}
            onChange={(kind: UseKind) => edit({ code: "use", kind })}
          />
          <LengthAt
            at="use.balanceMm.low"
            max={use.balanceMm.high}
            help={`Measured from ${datum}; behind it is below zero.`}
          />
          <LengthAt at="use.balanceMm.high" min={use.balanceMm.low} />
          <MassAt at="use.massG.low" max={use.massG.high} />
          <MassAt at="use.massG.high" min={use.massG.low} />
        </>
      }
    >
      {off && (
        <Text fontSize="lg" data-testid="target-said">
          {off.balance === 0
            ? "It balances inside its window"
            : `It balances ${printLength(Math.abs(off.balance), units)} too far ${off.balance < 0 ? "back" : "forward"}`}
          {"; "}
          {off.mass === 0
            ? "its weight is inside its window."
            : `it is ${printMass(Math.abs(off.mass), units)} too ${off.mass < 0 ? "light" : "heavy"}.`}
        </Text>
      )}
      {report && <Pulls report={report} />}
      <Note>
        Windows are common practice and a matter of taste: change them to your own hand. The band is the
        balance's. What a part moves is where the knife balances with it, less where it would without.
      </Note>
    </Section>
  );
});
