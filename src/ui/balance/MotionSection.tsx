"use client";
import { Box } from "@chakra-ui/react";
import { memo, useState } from "react";
import {
  CartesianGrid,
  Line,
  LineChart,
  ReferenceLine,
  ResponsiveContainer,
  Tooltip,
  XAxis,
  YAxis,
} from "recharts";
import { roundTo } from "@/core/base/number";
import { MM_PER_INCH } from "@/core/base/units/length";
import {
  GRAMS_PER_OUNCE,
  lengthUnitName,
  printLength,
  printMass,
  printMeasure,
} from "@/core/base/units/print";
import { dynamics, effectiveMass } from "@/core/figures/weigh/dynamics";
import type { MassReport } from "@/core/figures/weigh/report";
import { useUnits } from "@/store/settings";
import { datumWords } from "@/words/balance";
import { ChoiceField } from "../fields/ChoiceField";
import { evenTicks } from "../kit/evenTicks";
import { color } from "../kit/theme";
import { Fact, Note, Section } from "../report/Section";
import { useDesign, useSettledDesign } from "../session/BenchContext";
import { Datum } from "../session/Datum";

/** How it handles, each figure with what it feels like. */
export function MotionSection({ report }: { report: MassReport }) {
  const design = useDesign();
  const units = useUnits();
  const { grips } = design.use;
  const [chosen, setChosen] = useState<string | null>(null);
  const grip = grips.find((g) => g.id === chosen) ?? grips[0];
  const d = dynamics(report, grip.xMm);
  const L = design.blade.lengthMm;
  // The chart costs more than all the figures together: it waits until the grip point rests.
  const settled = useSettledDesign().use.grips;
  const settledGripMm = (settled.find((g) => g.id === grip.id) ?? settled[0]).xMm;
  const share = d.percussionMm === null ? null : d.percussionMm / L;
  return (
    <Section id="motion" title="Handling">
      {grips.length > 1 && (
        <ChoiceField
          label="In the grip"
          value={grip.id}
          choices={grips.map(({ id, name }) => ({ value: id, name }))}
          onChange={setChosen}
        />
      )}
      <Fact name="Moment at the grip">
        {printMeasure("moment", d.momentNmm, units)} {d.momentNmm >= 0 ? "nose-heavy" : "handle-heavy"}
      </Fact>
      <Note>
        {Math.abs(d.momentNmm) < 25
          ? "It lies neutral: the wrist has next to nothing to hold up."
          : d.momentNmm > 0
            ? "The point wants down: it chops willingly, and long fine work tires the wrist."
            : "The point wants up: quick and light in front, and weak in a chop."}
      </Note>
      <Fact name="Inertia about the grip">{printMeasure("inertia", d.inertiaGripGmm2, units)}</Fact>
      <Note>The more, the slower it starts and stops turning, and the harder it carries through.</Note>
      <Fact name="Inertia about the balance point">
        {printMeasure("inertia", d.inertiaBalanceGmm2, units)}
      </Fact>
      <Note>Of the knife by itself: how unwilling it is to be turned in a grip right at its balance.</Note>
      <Fact name="Centre of percussion">
        {share === null ? (
          "none: the grip point is the balance point"
        ) : share > 1 ? (
          "beyond the tip"
        ) : share < 0 ? (
          "behind the blade"
        ) : (
          <>
            {printLength(d.percussionMm ?? 0, units)} ahead of <Datum />, {Math.round(share * 100)} % along
            the blade
          </>
        )}
      </Fact>
      <Note>
        {share === null || share > 1 || share < 0
          ? "A blow anywhere on the blade jars the hand: no point of it turns about the grip."
          : "A blow struck there does not jar the hand: the knife turns about the grip."}
      </Note>
      <Fact name="Centre of mass">
        {printLength(Math.abs(d.heightMm), units)} {d.heightMm < 0 ? "below" : "above"} the axis,{" "}
        {Math.abs(d.sidewaysMm) < 0.05
          ? "on the middle plane"
          : `${printLength(Math.abs(d.sidewaysMm), units)} to the ${d.sidewaysMm > 0 ? "right" : "left"}`}
      </Fact>
      <Note>
        Below the axis it keeps its edge down by itself; far above, or to one side, it wants to roll in the
        hand.
      </Note>
      <EffectiveMassChart report={report} lengthMm={L} gripMm={settledGripMm} />
      <Note>
        Effective mass: how heavy the knife feels to what it strikes, by where it strikes. Most at the balance
        point, least at the tip. The dashed line is the centre of percussion.
      </Note>
    </Section>
  );
}

interface ChartProps {
  report: MassReport;
  /** Of the blade. */
  lengthMm: number;
  gripMm: number;
}

/** Effective mass along the blade, and the centre of percussion. */
const EffectiveMassChart = memo(function EffectiveMassChart({ report, lengthMm, gripMm }: ChartProps) {
  const units = useUnits();
  const metric = units === "metric";
  const datum = useDesign((d) => datumWords(d));
  const [perLength, perMass] = metric ? [1, 1] : [MM_PER_INCH, GRAMS_PER_OUNCE];
  const { percussionMm } = dynamics(report, gripMm);
  const points = Array.from({ length: 31 }, (_, i) => {
    const xMm = (lengthMm * i) / 30;
    return { at: roundTo(xMm / perLength, 3), mass: roundTo(effectiveMass(report, xMm) / perMass, 2) };
  });
  return (
    <Box h="210px" role="img" aria-label="Effective mass along the blade" data-testid="effective-mass">
      <ResponsiveContainer>
        <LineChart data={points} margin={{ top: 8, right: 16, bottom: 20, left: 8 }}>
          <CartesianGrid stroke={color("rule")} />
          <XAxis
            dataKey="at"
            type="number"
            domain={[0, roundTo(lengthMm / perLength, 3)]}
            ticks={evenTicks(0, lengthMm / perLength)}
            stroke={color("graphite")}
            label={{
              value: `ahead of ${datum}, ${lengthUnitName(units)}`,
              position: "insideBottom",
              offset: -12,
              fill: color("graphite"),
            }}
          />
          <YAxis
            stroke={color("graphite")}
            label={{
              value: `effective mass, ${metric ? "g" : "oz"}`,
              angle: -90,
              position: "insideLeft",
              fill: color("graphite"),
            }}
          />
          <Tooltip
            formatter={(v) => [printMass(Number(v) * perMass, units), "effective mass"]}
            labelFormatter={(x) => `${printLength(Number(x) * perLength, units)} ahead of ${datum}`}
            contentStyle={{ background: color("sheet"), color: color("ink") }}
          />
          {percussionMm !== null && percussionMm > 0 && percussionMm < lengthMm && (
            <ReferenceLine x={percussionMm / perLength} stroke={color("violet")} strokeDasharray="4 3" />
          )}
          <Line
            dataKey="mass"
            stroke={color("oxide")}
            strokeWidth={2}
            dot={false}
            isAnimationActive={false}
          />
        </LineChart>
      </ResponsiveContainer>
    </Box>
  );
});
