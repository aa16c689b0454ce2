"use client";
import { Button, Flex, Stack, Text } from "@chakra-ui/react";
import { memo, useMemo, useState } from "react";
import { clamp } from "@/core/base/number";
import { own } from "@/core/base/own";
import { SAME_PLACE_MM } from "@/core/base/tolerances";
import { printLength, printMass, type UnitSystem } from "@/core/base/units/print";
import type { PartRef } from "@/core/figures/review/partRefs";
import type { ReviewedAnswer } from "@/core/figures/review/tuneReviewed";
import { targetOf } from "@/core/figures/tune/goals";
import type { Lever } from "@/core/figures/tune/lever";
import { leversOf, withLevers } from "@/core/figures/tune/levers";
import type { Blocked, Limits } from "@/core/figures/tune/solve";
import type { Design } from "@/core/knife/design/schema";
import type { MaterialOf } from "@/core/materials/types";
import { useUnits } from "@/store/settings";
import { findingWords } from "@/words/findings";
import { missWords } from "@/words/goals";
import { leverWords, STRATEGY_WORDS, signed, stepWords } from "@/words/levers";
import { LengthField } from "../fields/LengthField";
import { Tick } from "../fields/Tick";
import { useMaterialOf } from "../kit/materials";
import { useTask } from "../kit/useTask";
import { Note, Section } from "../report/Section";
import { useSettledDesign } from "../session/BenchContext";
import { useHighlight } from "../sight/useHighlight";
import type { Ghost } from "./ghost";
import { leverPartRefs } from "./LeversSection";

/** Finds the smallest changes that land the knife in its windows, by the levers that are allowed. */
export const TuneSection = memo(function TuneSection({ onTry }: { onTry: (ghost: Ghost) => void }) {
  const design = useSettledDesign();
  const [barred, setBarred] = useState<ReadonlySet<string>>(new Set());
  const [byWeight, setByWeight] = useState(true);
  const [materials, setMaterials] = useState(true);
  const [limits, setLimits] = useState<Limits>({});
  const search = useTask<readonly ReviewedAnswer[]>();
  const answers = search.answer;
  const lengths = useMemo(() => leversOf(design).filter((l) => l.unit === "mm"), [design]);

  const partRefs = leverPartRefs(design);
  const look = () => {
    const allowed = leversOf(design)
      .filter((l) => !barred.has(l.id) && l.unit !== "holes" && (materials || l.unit !== "choice"))
      .map((l) => l.id);
    const wished = targetOf(design);
    const target = { ...wished, massG: byWeight ? wished.massG : null };
    void search.begin(design, (s) => s.tune(design, target, allowed, limits));
  };
  return (
    <Section
      id="tune"
      title="Reach the window"
      settingsStay
      settings={
        <>
          <Text fontWeight="600">May be changed, and how far from now</Text>
          {lengths.map((l) => (
            <AllowedLever
              key={l.id}
              lever={l}
              partRefs={partRefs.get(l.id) ?? []}
              allowed={!barred.has(l.id)}
              limit={own(limits, l.id) ?? l}
              onAllowed={(on) => {
                const next = new Set(barred);
                if (on) next.delete(l.id);
                else next.add(l.id);
                setBarred(next);
              }}
              onLimit={(limit) => setLimits({ ...limits, [l.id]: limit })}
            />
          ))}
          <Tick label="Materials, where lengths are not enough" checked={materials} onChange={setMaterials} />
          <Tick label="Keep the weight in its window too" checked={byWeight} onChange={setByWeight} />
        </>
      }
    >
      <Flex gap="2">
        <Button size="sm" loading={search.busy} loadingText="Searching …" onClick={look}>
          Find changes
        </Button>
        {search.busy && (
          <Button size="sm" variant="outline" onClick={search.cancel}>
            Cancel
          </Button>
        )}
      </Flex>
      {search.failed && <Text color="fault">The search failed. Nothing was changed; try it again.</Text>}
      {answers && (
        <Stack gap="3" data-testid="answers">
          {answers.of !== design && <Text color="warn">The design has changed since: search again.</Text>}
          {answers.value.map((a) => (
            <OneAnswer key={JSON.stringify(a.changes)} answer={a} of={answers.of} onTry={onTry} />
          ))}
          {answers.value.length === 0 && <Text>No changes were found.</Text>}
        </Stack>
      )}
      <Note>
        Each answer is weighed as a whole and held against every rule. Fewest and smallest changes first;
        materials are changed only where lengths are not enough.
      </Note>
    </Section>
  );
});

interface AllowedLeverProps {
  readonly lever: Lever;
  /** What it changes. */
  readonly partRefs: readonly PartRef[];
  readonly allowed: boolean;
  readonly limit: Limits[string];
  readonly onAllowed: (on: boolean) => void;
  readonly onLimit: (limit: Limits[string]) => void;
}

/** A lever with its tick and, while it may be moved, how far it may go from where it is. */
function AllowedLever({ lever, partRefs, allowed, limit, onAllowed, onLimit }: AllowedLeverProps) {
  const materialOf = useMaterialOf();
  const name = leverWords(lever.id, materialOf);
  const clip = (mm: number) => clamp(mm, lever.low, lever.high);
  const highlight = useHighlight(partRefs);
  return (
    <Stack gap="1" {...highlight}>
      <Tick label={name} checked={allowed} onChange={onAllowed} />
      {allowed && (
        <Flex gap="1" align="center" ps="6">
          <LengthField
            bare
            label={`${name}: down to`}
            mm={clip(limit.low)}
            min={lever.low}
            max={0}
            onChange={(low) => onLimit({ low, high: limit.high })}
          />
          <Text color="graphite" fontSize="sm">
            to
          </Text>
          <LengthField
            bare
            label={`${name}: up to`}
            mm={clip(limit.high)}
            min={0}
            max={lever.high}
            onChange={(high) => onLimit({ low: limit.low, high })}
          />
        </Flex>
      )}
    </Stack>
  );
}

/** "Tang's length goes no farther than −4.0 mm: ...", or that it was left out. */
function blockedWords({ id, amount, why }: Blocked, units: UnitSystem, materialOf: MaterialOf): string {
  const name = leverWords(id, materialOf);
  const goes =
    Math.abs(amount) < SAME_PLACE_MM
      ? `${name}: left out`
      : `${name} goes no farther than ${signed(amount, (v) => printLength(v, units, 1))}`;
  return why ? `${goes}. ${findingWords(why, units, materialOf)}` : `${goes}.`;
}

function OneAnswer({
  answer: a,
  of,
  onTry,
}: {
  answer: ReviewedAnswer;
  of: Design;
  onTry: (ghost: Ghost) => void;
}) {
  const materialOf = useMaterialOf();
  const design = useSettledDesign();
  const units = useUnits();
  const partRefs = leverPartRefs(of);
  const highlight = useHighlight([...new Set(a.changes.flatMap((c) => partRefs.get(c.id) ?? []))]);
  const unitOf = new Map(leversOf(of).map((l) => [l.id, l.unit]));
  const words = a.changes.map((c) => stepWords({ ...c, unit: unitOf.get(c.id) ?? "mm" }, units, materialOf));
  const tryIt = () => {
    const amounts = Object.fromEntries(a.changes.map((c) => [c.id, c.amount]));
    const next = withLevers(of, new Map(Object.entries(amounts)));
    if (next) onTry({ edit: { code: "pull", amounts }, design: next, of });
  };
  return (
    <Stack gap="1" borderLeftWidth="3px" borderLeftColor={a.lands ? "ink" : "warn"} pl="3" {...highlight}>
      <Text fontWeight="600">
        {a.lands ? STRATEGY_WORDS[a.strategy] : "Does not reach it"}: {printMass(a.massG, units)}, balance{" "}
        {printLength(a.balanceMm, units)}
      </Text>
      <Text>{words.length > 0 ? words.join("; ") : "Nothing needs to change: it is in its window."}</Text>
      {!a.lands && (
        <Text color="warn">
          {missWords(a.misses, of.use.grips, units)}{" "}
          {a.atLimit.length > 0 &&
            `At their limit: ${a.atLimit.map((id) => leverWords(id, materialOf)).join(", ")}.`}
        </Text>
      )}
      {a.blocked.map((b) => (
        <Text key={b.id} color="graphite" fontSize="sm">
          {blockedWords(b, units, materialOf)}
        </Text>
      ))}
      {a.brings.map((f) => (
        <Text key={`${f.rule}-${f.subject}`} color="warn" fontSize="sm">
          Brings: {findingWords(f, units, materialOf)}
        </Text>
      ))}
      {a.changes.length > 0 && (
        <Button size="xs" variant="outline" alignSelf="start" disabled={of !== design} onClick={tryIt}>
          Try it
        </Button>
      )}
    </Stack>
  );
}
