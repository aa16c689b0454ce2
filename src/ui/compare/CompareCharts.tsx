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
import { GRAMS_PER_OUNCE, type UnitSystem } from "@/core/base/units/print";
import { groupPulls } from "@/core/figures/weigh/pulls";
import type { MassReport } from "@/core/figures/weigh/report";
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

/** What the charts count in, and how many of it a gram and a millimetre are. */
function chartUnits(units: UnitSystem) {
  return units === "metric"
    ? { perG: 1, perMm: 1, mass: "g", length: "mm", tick: 10 }
    : { perG: 1 / GRAMS_PER_OUNCE, perMm: 1 / MM_PER_INCH, mass: "oz", length: "in", tick: 0.5 };
}
type ChartUnits = ReturnType<typeof chartUnits>;
type Weighed = Column & { readonly report: MassReport; readonly row: number };

const figure = (value: number, per: number) => roundTo(value * per, 2);

/** Mass by part, and balance with its interval, of what lies side by side. */
export function CompareCharts({ columns }: { columns: readonly Column[] }) {
  const units = chartUnits(useUnits());
  const weighed = columns.flatMap((c, i): Weighed[] =>
    c.report ? [{ ...c, report: c.report, row: columns.length - i }] : [],
  );
  if (weighed.length === 0) return null;
  const height = `${columns.length * ROW_PX + 86}px`;
  return (
    <Section id="charts" title="By mass and by balance">
      <Grid templateColumns={{ base: "minmax(0, 1fr)", md: "1fr 1fr" }} gap="6">
        <Box h={height} role="img" aria-label="Mass by part" data-testid="mass-chart">
          <MassChart weighed={weighed} units={units} />
        </Box>
        <Box h={height} role="img" aria-label="Balance" data-testid="balance-chart">
          <BalanceChart
            weighed={weighed}
            rows={columns.length}
            window={columns[0].design.use.balanceMm}
            units={units}
          />
        </Box>
      </Grid>
    </Section>
  );
}

function MassChart({ weighed, units }: { weighed: readonly Weighed[]; units: ChartUnits }) {
  const masses = weighed.map(({ name, report }) => ({
    name,
    ...Object.fromEntries(groupPulls(report).map((g) => [g.group, figure(g.massG, units.perG)])),
  }));
  const groups = PART_GROUPS.filter((g) => masses.some((m) => g in m));
  return (
    <ResponsiveContainer>
      <BarChart data={masses} layout="vertical" margin={{ top: 4, right: 12, bottom: 4, left: 8 }}>
        <CartesianGrid stroke={color("rule")} horizontal={false} />
        <XAxis type="number" {...AXIS} unit={` ${units.mass}`} />
        <YAxis type="category" dataKey="name" width={180} {...AXIS} stroke={color("ink")} />
        <Tooltip
          cursor={{ fill: color("rule"), opacity: 0.4 }}
          formatter={(v, g) => [`${v} ${units.mass}`, g]}
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
  );
}

/** Balances with their intervals, the axis's ends on ticks with the window in sight. */
function balancesOf(weighed: readonly Weighed[], { low, high }: BalanceWindow, { perMm, tick }: ChartUnits) {
  const balances = weighed.map(({ name, report, row }) => ({
    name,
    row,
    mm: figure(report.balanceMm, perMm),
    off: [
      figure(report.balanceMm - report.balanceIntervalMm[0], perMm),
      figure(report.balanceIntervalMm[1] - report.balanceMm, perMm),
    ],
  }));
  const window = [figure(low, perMm), figure(high, perMm)];
  const ends = balances.flatMap(({ mm, off }) => [mm - off[0], mm + off[1]]).concat(window);
  const domain = [
    Math.floor(Math.min(...ends) / tick - 0.1) * tick,
    Math.ceil(Math.max(...ends) / tick + 0.1) * tick,
  ] as const;
  return { balances, window, domain };
}

interface BalanceWindow {
  readonly low: number;
  readonly high: number;
}

function BalanceChart(props: {
  weighed: readonly Weighed[];
  rows: number;
  window: BalanceWindow;
  units: ChartUnits;
}) {
  const { balances, window, domain } = balancesOf(props.weighed, props.window, props.units);
  const names = new Map(balances.map((b) => [b.row, b.name]));
  const label = {
    value: `balance, ${props.units.length}; band: its window`,
    position: "insideBottom",
    offset: -18,
    fill: color("graphite"),
    fontSize: 13,
  } as const;
  return (
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
          label={label}
        />
        <YAxis
          type="number"
          dataKey="row"
          domain={[0.4, props.rows + 0.6]}
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
  );
}
