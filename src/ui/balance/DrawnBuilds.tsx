"use client";
import { Box, Button, Flex, NativeSelect, Progress, Text } from "@chakra-ui/react";
import { proxy } from "comlink";
import { useMemo, useState } from "react";
import { Bar, BarChart, CartesianGrid, ResponsiveContainer, XAxis, YAxis } from "recharts";
import { MM_PER_INCH } from "@/core/base/units/length";
import { printLength, printMass } from "@/core/base/units/print";
import type { Sampled } from "@/core/figures/tune/sample";
import { useUnits } from "@/store/settings";
import { evenTicks } from "../kit/evenTicks";
import { color } from "../kit/theme";
import { useTask } from "../kit/useTask";
import { Fact } from "../report/Section";
import { useSettledDesign } from "../session/BenchContext";

const COUNTS = [1000, 4000, 20_000, 100_000] as const;
const BINS = 24;

/** Builds drawn at random in a worker, reported as they are drawn, until they are all there or it is called off. */
export function DrawnBuilds() {
  const design = useSettledDesign();
  const [count, setCount] = useState<number>(COUNTS[1]);
  const [drawn, setDrawn] = useState(0);
  const { busy, failed, answer, begin, cancel } = useTask<Sampled>();
  const draw = () => {
    setDrawn(0);
    void begin(design, (s) => s.sample(design, count, 1, proxy(setDrawn)));
  };
  return (
    <>
      <Flex gap="2" align="center" wrap="wrap">
        <CountChoice count={count} disabled={busy} onChange={setCount} />
        <Button size="sm" disabled={busy} onClick={() => void draw()}>
          Simulate builds at random
        </Button>
        {busy && <Drawing share={drawn / count} onCancel={cancel} />}
      </Flex>
      {failed && (
        <Text color="fault">The builds could not be simulated. Nothing was changed; try it again.</Text>
      )}
      {answer && (
        <>
          {answer.of !== design && <Text color="warn">The design has changed since.</Text>}
          <BuildsDrawn builds={answer.value} />
        </>
      )}
    </>
  );
}

function CountChoice(props: { count: number; disabled: boolean; onChange: (to: number) => void }) {
  return (
    <NativeSelect.Root size="sm" width="120px" disabled={props.disabled}>
      <NativeSelect.Field
        bg="sheet"
        aria-label="How many builds"
        value={String(props.count)}
        onChange={(e) => props.onChange(Number(e.target.value))}
      >
        {COUNTS.map((n) => (
          <option key={n} value={n}>
            {n.toLocaleString("en")}
          </option>
        ))}
      </NativeSelect.Field>
      <NativeSelect.Indicator />
    </NativeSelect.Root>
  );
}

/** How far the drawing is, 0 to 1. */
function Drawing({ share, onCancel }: { share: number; onCancel: () => void }) {
  return (
    <>
      <Progress.Root
        size="sm"
        w="180px"
        value={100 * share}
        aria-label="Builds drawn"
        data-testid="draw-progress"
      >
        <Progress.Track>
          <Progress.Range bg="ink" />
        </Progress.Track>
      </Progress.Root>
      <Button size="sm" variant="outline" onClick={onCancel}>
        Cancel
      </Button>
    </>
  );
}

/** Between what nine of ten weigh and balance, and how the balances lie. */
function BuildsDrawn({ builds }: { builds: Sampled }) {
  const units = useUnits();
  const metric = units === "metric";
  const shown = useMemo(() => histogram(builds.balances, metric ? 1 : MM_PER_INCH), [builds, metric]);
  const label = {
    value: metric ? "balance, mm" : "balance, in",
    position: "insideBottom",
    offset: -12,
    fill: color("graphite"),
  } as const;
  return (
    <>
      <Fact name={`Of ${builds.count.toLocaleString("en")} simulated, 9 of 10 balance between`}>
        {printLength(builds.balanceMm.p5, units)} and {printLength(builds.balanceMm.p95, units)}
      </Fact>
      <Fact name="and weigh between">
        {printMass(builds.massG.p5, units)} and {printMass(builds.massG.p95, units)}
      </Fact>
      <Box h="180px" role="img" aria-label="Balance of the builds" data-testid="spread-chart">
        <ResponsiveContainer>
          <BarChart data={shown.bins} margin={{ top: 6, right: 12, bottom: 20, left: 0 }}>
            <CartesianGrid stroke={color("rule")} vertical={false} />
            <XAxis
              dataKey="at"
              type="number"
              domain={shown.ends}
              ticks={evenTicks(...shown.ends)}
              tickFormatter={(v: number) => String(v).replace("-", "−")}
              stroke={color("graphite")}
              label={label}
            />
            <YAxis stroke={color("graphite")} width={48} />
            <Bar dataKey="builds" fill={color("bronze")} isAnimationActive={false} />
          </BarChart>
        </ResponsiveContainer>
      </Box>
    </>
  );
}

interface Histogram {
  readonly ends: readonly [number, number];
  readonly bins: readonly { readonly at: number; readonly builds: number }[];
}

/** How many balances fall in each of as many equal steps, in a unit of so many mm. */
function histogram(balancesMm: readonly number[], unitMm: number): Histogram {
  const values = balancesMm.map((mm) => mm / unitMm);
  const [low, high] = values.reduce(
    ([least, most], v) => [Math.min(least, v), Math.max(most, v)],
    [Number.POSITIVE_INFINITY, Number.NEGATIVE_INFINITY],
  );
  const width = (high - low) / BINS || 1;
  const counts = new Array<number>(BINS).fill(0);
  for (const v of values) counts[Math.min(BINS - 1, Math.floor((v - low) / width))]++;
  return {
    ends: [low, high],
    bins: counts.map((builds, i) => ({ at: low + (i + 0.5) * width, builds })),
  };
}
