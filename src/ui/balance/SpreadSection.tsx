"use client";
import { Box, Text } from "@chakra-ui/react";
import { memo, useMemo } from "react";
import { Bar, BarChart, CartesianGrid, Legend, ResponsiveContainer, XAxis, YAxis } from "recharts";
import { MM_PER_INCH } from "@/core/base/units/length";
import { GRAMS_PER_OUNCE, printLength, printMass, type UnitSystem } from "@/core/base/units/print";
import { type PartRef, partRefsOfChange, partRefsOfMaterial } from "@/core/figures/review/partRefs";
import { dimensionsOf } from "@/core/figures/tune/dimensions";
import type { Spread } from "@/core/figures/tune/spread";
import type { Design } from "@/core/knife/design/schema";
import { useUnits } from "@/store/settings";
import { leverWords } from "@/words/levers";
import { LengthAt } from "../bound/bound";
import { useMaterialOf } from "../kit/materials";
import { color } from "../kit/theme";
import { UnderWay } from "../kit/UnderWay";
import { useWorkerQuery } from "../kit/useWorkerQuery";
import { Fact, Figures, Note, Section } from "../report/Section";
import { useSettledDesign } from "../session/BenchContext";
import { DrawnBuilds } from "./DrawnBuilds";

/** Nine of ten builds lie within so many standard deviations. Normal distribution. */
const NINE_OF_TEN = 1.645;
const MOST_TOLD = 8;

/** Which parts of the knife each size that may be off changes, by its id. */
const dimensionPartRefs = (design: Design): ReadonlyMap<string, readonly PartRef[]> =>
  new Map([
    ...dimensionsOf(design).map((d) => [d.id, partRefsOfChange(design, d.apply(design, d.offMm))] as const),
    ["measured-mass", ["blade"]],
    ["measured-balance", ["blade"]],
  ]);

/** How sure the figures are: to first order at once, then by builds drawn at random. */
export const SpreadSection = memo(function SpreadSection() {
  const design = useSettledDesign();
  const units = useUnits();
  const { answer: spread, failed, isLoading } = useWorkerQuery(design, (s, d) => s.spread(d));
  const about = (value: number, sigma: number, print: (v: number) => string) =>
    `${print(value - NINE_OF_TEN * sigma)} and ${print(value + NINE_OF_TEN * sigma)}`;
  return (
    <Section
      id="spread"
      title="Spread between builds"
      settings={
        <>
          <LengthAt at="use.toleranceMm" />
          <LengthAt at="use.shapingMm" />
          <Note>19 of 20 builds stay within these; densities within their range.</Note>
        </>
      }
    >
      {failed && <Text color="fault">The spread could not be worked out for the knife as it is.</Text>}
      <UnderWay on={isLoading} says="Working out the spread …" />
      {spread && (
        <>
          <Box data-testid="first-order">
            <Fact name="9 of 10 builds balance between">
              {about(spread.drawn.balanceMm, spread.firstOrder.balanceMm, (v) => printLength(v, units))}
            </Fact>
            <Fact name="and weigh between">
              {about(spread.drawn.massG, spread.firstOrder.massG, (v) => printMass(v, units))}
            </Fact>
          </Box>
          <Causes design={design} spread={spread} units={units} />
        </>
      )}
      <DrawnBuilds />
    </Section>
  );
});

/** What the spread comes from, the most first, as a chart and in figures. */
function Causes({ design, spread, units }: { design: Design; spread: Spread; units: UnitSystem }) {
  const materialOf = useMaterialOf();
  const partRefs = useMemo(() => dimensionPartRefs(design), [design]);
  const largest = spread.shares
    .filter((x) => Math.abs(x.massG) > 0.02 || Math.abs(x.balanceMm) > 0.02)
    .slice(0, MOST_TOLD);
  const metric = units === "metric";
  const rows = largest.map((x) => ({
    name: leverWords(x.id, materialOf),
    balance: Math.abs(x.balanceMm) / (metric ? 1 : MM_PER_INCH),
    mass: Math.abs(x.massG) / (metric ? 1 : GRAMS_PER_OUNCE),
  }));
  if (rows.length === 0) return <Text color="graphite">Nothing varies.</Text>;
  const axis = { stroke: color("graphite"), fontSize: 12 };
  return (
    <>
      <Box
        h={`${rows.length * 34 + 66}px`}
        role="img"
        aria-label="Causes of the spread"
        data-testid="owes-chart"
      >
        <ResponsiveContainer>
          <BarChart data={rows} layout="vertical" margin={{ top: 0, right: 16, bottom: 0, left: 0 }}>
            <CartesianGrid stroke={color("rule")} horizontal={false} />
            <XAxis xAxisId="balance" type="number" {...axis} unit={metric ? " mm" : " in"} />
            <XAxis xAxisId="mass" type="number" hide />
            <YAxis type="category" dataKey="name" width={190} {...axis} stroke={color("ink")} />
            <Legend formatter={(v: string) => <span style={{ color: color("ink") }}>{v}</span>} />
            <Bar
              xAxisId="balance"
              dataKey="balance"
              name="in balance"
              fill={color("bronze")}
              isAnimationActive={false}
            />
            <Bar
              xAxisId="mass"
              dataKey="mass"
              name="in weight"
              fill={color("oxide")}
              isAnimationActive={false}
            />
          </BarChart>
        </ResponsiveContainer>
      </Box>
      <Figures
        label="Causes of the spread"
        rows={largest}
        keyOf={(x) => x.id}
        none="Nothing varies."
        partRefsOf={(x) => partRefs.get(x.id) ?? partRefsOfMaterial(design, x.id)}
        columns={[
          { name: "Cause", of: (x) => leverWords(x.id, materialOf) },
          { name: "Balance", number: true, of: (x) => printLength(Math.abs(x.balanceMm), units, 2) },
          { name: "Weight", number: true, of: (x) => printMass(Math.abs(x.massG), units) },
        ]}
      />
    </>
  );
}
