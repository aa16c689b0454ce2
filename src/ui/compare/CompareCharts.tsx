"use client";
import { Box, Grid } from "@chakra-ui/react";
import {
  Bar,
  BarChart,
  CartesianGrid,
  ErrorBar,
  Legend,
  ReferenceArea,
  ReferenceLine,
  ResponsiveContainer,
  Scatter,
  ScatterChart,
  Tooltip,
  XAxis,
  YAxis,
} from "recharts";
import { roundTo } from "@/core/base/number";
import { MM_PER_INCH } from "@/core/base/units/length";
import { GRAMS_PER_OUNCE } from "@/core/base/units/print";
import { groupPulls } from "@/core/figures/weigh/pulls";
import { PART_GROUPS, type PartGroup } from "@/core/knife/parts/types";
import { useUnits } from "@/store/settings";
import { GROUP_WORDS } from "@/words/pulls";
import type { Column } from "../cost/column";
import { evenTicks } from "../kit/evenTicks";
import { color } from "../kit/theme";
import { Section } from "../report/Section";
import { GROUP_TINT } from "../strip/MomentStrip";

const ROW_PX = 46;
const AXIS = { stroke: color("graphite"), fontSize: 13 };

/** Mass by part, and balance with its interval, of what lies side by side. */
export function CompareCharts({ columns }: { columns: readonly Column[] }) {
  const units = useUnits();
  const metric = units === "metric";
  const [perG, perMm] = metric ? [1, 1] : [1 / GRAMS_PER_OUNCE, 1 / MM_PER_INCH];
  const round = (v: number, unit: number) => roundTo(v * unit, 2);
  const weighed = columns.flatMap((c, i) => (c.report ? [{ ...c, report: c.report, i }] : []));
  if (weighed.length === 0) return null;
  const masses = weighed.map(({ name, report }) => ({
    name,
    ...Object.fromEntries(groupPulls(report).map((g) => [g.group, round(g.massG, perG)])),
  }));
  const balances = weighed.map(({ name, report, i }) => ({
    name,
    row: columns.length - i,
    mm: round(report.balanceMm, perMm),
    off: [
      round(report.balanceMm - report.balanceIntervalMm[0], perMm),
      round(report.balanceIntervalMm[1] - report.balanceMm, perMm),
    ],
  }));
  const height = `${columns.length * ROW_PX + 86}px`;
  const groups = PART_GROUPS.filter((g) => masses.some((m) => g in m));
  const { low, high } = columns[0].design.use.balanceMm;
  const window = [round(low, perMm), round(high, perMm)];
  const tick = metric ? 10 : 0.5;
  const ends = balances.flatMap(({ mm, off }) => [mm - off[0], mm + off[1]]).concat(window);
  const domain = [
    Math.floor(Math.min(...ends) / tick - 0.1) * tick,
    Math.ceil(Math.max(...ends) / tick + 0.1) * tick,
  ] as const;
  const names = new Map(balances.map((b) => [b.row, b.name]));
  return (
    <Section id="charts" title="By mass and by balance">
      <Grid templateColumns="1fr 1fr" gap="6">
        <Box h={height} role="img" aria-label="Mass by part" data-testid="mass-chart">
          <ResponsiveContainer>
            <BarChart data={masses} layout="vertical" margin={{ top: 4, right: 12, bottom: 4, left: 8 }}>
              <CartesianGrid stroke={color("rule")} horizontal={false} />
              <XAxis type="number" {...AXIS} unit={metric ? " g" : " oz"} />
              <YAxis type="category" dataKey="name" width={180} {...AXIS} stroke={color("ink")} />
              <Tooltip
                cursor={{ fill: color("rule"), opacity: 0.4 }}
                formatter={(v, g) => [`${v} ${metric ? "g" : "oz"}`, g]}
                contentStyle={{ background: color("sheet"), color: color("ink") }}
              />
              <Legend
                itemSorter={(item) => groups.indexOf(item.dataKey as PartGroup)}
                formatter={(v: string) => <span style={{ color: color("ink") }}>{v}</span>}
              />
              {groups.map((g) => (
                <Bar
                  key={g}
                  dataKey={g}
                  name={GROUP_WORDS[g]}
                  stackId="mass"
                  fill={GROUP_TINT[g]}
                  stroke={color("sheet")}
                  isAnimationActive={false}
                />
              ))}
            </BarChart>
          </ResponsiveContainer>
        </Box>
        <Box h={height} role="img" aria-label="Balance" data-testid="balance-chart">
          <ResponsiveContainer>
            <ScatterChart margin={{ top: 4, right: 16, bottom: 34, left: 8 }}>
              <CartesianGrid stroke={color("rule")} horizontal={false} />
              <XAxis
                type="number"
                dataKey="mm"
                {...AXIS}
                domain={domain}
                ticks={evenTicks(...domain)}
                tickFormatter={(v: number) => String(roundTo(v, 2)).replace("-", "−")}
                label={{
                  value: `balance, ${metric ? "mm" : "in"}; band: its window`,
                  position: "insideBottom",
                  offset: -18,
                  fill: color("graphite"),
                  fontSize: 13,
                }}
              />
              <YAxis
                type="number"
                dataKey="row"
                domain={[0.4, columns.length + 0.6]}
                ticks={balances.map((b) => b.row)}
                tickFormatter={(row: number) => names.get(row) ?? ""}
                width={180}
                {...AXIS}
                stroke={color("ink")}
              />
              <ReferenceArea x1={window[0]} x2={window[1]} fill={color("straw")} fillOpacity={0.2} />
              <ReferenceLine x={0} stroke={color("graphite")} strokeDasharray="14 4 2 4" />
              <Scatter data={balances} fill={color("bronze")} isAnimationActive={false}>
                <ErrorBar dataKey="off" direction="x" stroke={color("bronze")} strokeWidth={2} width={8} />
              </Scatter>
            </ScatterChart>
          </ResponsiveContainer>
        </Box>
      </Grid>
    </Section>
  );
}
