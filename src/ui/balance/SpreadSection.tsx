"use client";
import { Box, Button, Flex, Text } from "@chakra-ui/react";
import { useEffect, useRef, useState } from "react";
import { Bar, BarChart, CartesianGrid, ResponsiveContainer, XAxis, YAxis } from "recharts";
import type { Design } from "@/core/design/schema";
import type { Sampled } from "@/core/tune/sample";
import { printLength, printMass } from "@/core/units/print";
import { leverWords } from "@/words/levers";
import { type Asker, createAsker } from "@/workers/bench.client";
import { useBench } from "../bench/BenchContext";
import { LengthAt } from "../fields/bound";
import { Fact, Figures, Note, Section } from "../fit/Section";
import { color } from "../theme";

const BUILDS = 4000;
const BINS = 24;

/** How sure the figures are: builds drawn at random within tolerances and densities, and what the spread owes most to. */
export function SpreadSection() {
  const { design, units } = useBench();
  const [sampled, setSampled] = useState<{ of: Design; of1: Sampled } | null>(null);
  const [busy, setBusy] = useState(false);
  const [failed, setFailed] = useState(false);
  const asker = useRef<Asker | null>(null);
  useEffect(() => () => asker.current?.dispose(), []);
  const draw = async () => {
    const mine = createAsker();
    asker.current = mine;
    setBusy(true);
    setFailed(false);
    const answer = await mine.ask((s) => s.sample(design, BUILDS, 1));
    mine.dispose();
    if (asker.current !== mine) return;
    asker.current = null;
    setBusy(false);
    if (answer) setSampled({ of: design, of1: answer });
    else setFailed(true);
  };
  const s = sampled?.of1;
  return (
    <Section
      id="spread"
      title="How sure it is"
      settings={
        <>
          <LengthAt at="use.toleranceMm" label="Metal may be off by" min={0} max={5} />
          <LengthAt at="use.shapingMm" label="Shaped by hand, by" min={0} max={10} />
          <Note>In nineteen of twenty builds; densities within their range.</Note>
        </>
      }
    >
      <Flex gap="2">
        <Button size="sm" loading={busy} onClick={() => void draw()}>
          Draw {BUILDS} builds
        </Button>
        {busy && (
          <Button
            size="sm"
            variant="outline"
            onClick={() => {
              const mine = asker.current;
              asker.current = null;
              mine?.dispose();
              setBusy(false);
            }}
          >
            Cancel
          </Button>
        )}
      </Flex>
      {failed && <Text color="fault">The builds could not be drawn. Nothing was changed; try it again.</Text>}
      {s && (
        <>
          {sampled.of !== design && <Text color="warn">The design has changed since.</Text>}
          <Fact name="Nine of ten balance between">
            {printLength(s.balanceMm.p5, units)} and {printLength(s.balanceMm.p95, units)}
          </Fact>
          <Fact name="Nine of ten weigh between">
            {printMass(s.massG.p5, units)} and {printMass(s.massG.p95, units)}
          </Fact>
          <Box h="180px" role="img" aria-label="Balance of the builds" data-testid="spread-chart">
            <ResponsiveContainer>
              <BarChart data={histogram(s.balances)} margin={{ top: 6, right: 12, bottom: 20, left: 0 }}>
                <CartesianGrid stroke={color("rule")} vertical={false} />
                <XAxis
                  dataKey="at"
                  stroke={color("graphite")}
                  label={{
                    value: "balance, mm",
                    position: "insideBottom",
                    offset: -12,
                    fill: color("graphite"),
                  }}
                />
                <YAxis stroke={color("graphite")} width={42} />
                <Bar dataKey="builds" fill={color("bronze")} isAnimationActive={false} />
              </BarChart>
            </ResponsiveContainer>
          </Box>
          <Figures
            label="What the spread owes to"
            rows={s.shares
              .filter((x) => Math.abs(x.massG) > 0.02 || Math.abs(x.balanceMm) > 0.02)
              .slice(0, 8)}
            keyOf={(x) => x.id}
            none="Nothing may be off."
            columns={[
              { name: "It owes most to", of: (x) => leverWords(x.id) },
              { name: "Balance", number: true, of: (x) => printLength(Math.abs(x.balanceMm), units, 2) },
              { name: "Weight", number: true, of: (x) => printMass(Math.abs(x.massG), units) },
            ]}
          />
        </>
      )}
    </Section>
  );
}

function histogram(values: readonly number[]): { at: string; builds: number }[] {
  const [low, high] = [Math.min(...values), Math.max(...values)];
  const width = (high - low) / BINS || 1;
  const counts = new Array<number>(BINS).fill(0);
  for (const v of values) counts[Math.min(BINS - 1, Math.floor((v - low) / width))]++;
  return counts.map((builds, i) => ({ at: (low + (i + 0.5) * width).toFixed(1), builds }));
}
