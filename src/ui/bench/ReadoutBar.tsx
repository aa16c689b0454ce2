"use client";
import { Button, HStack, Link, Text } from "@chakra-ui/react";
import { memo } from "react";
import { createStore, useStore } from "zustand";
import type { PartRef } from "@/core/figures/review/partRefs";
import type { Finding, Fix } from "@/core/figures/review/types";
import { useUnits } from "@/store/settings";
import { countWords, findingWords, severityWords } from "@/words/findings";
import { useMaterialOf } from "../kit/materials";
import { SEVERITY_TINT } from "../kit/theme";
import { UnderWay } from "../kit/UnderWay";
import { useLonger } from "../kit/useLonger";
import { useSteady } from "../kit/useSteady";
import {
  useBench,
  useBenchState,
  useFaults,
  useFixesOf,
  useLastEdit,
  useProduct,
  useReview,
  useViews,
  useWeighed,
  useWeighing,
} from "../session/BenchContext";
import { newestFirst } from "../session/noticed";
import { useFix } from "../session/useFix";
import { useLastFigures } from "../session/useLastFigures";
import { useHighlight } from "../sight/useHighlight";
import { ReadoutFigures } from "./ReadoutFigures";

/** Longer than a weighing usually takes, ms. */
const USUALLY_MS = 300;

/**
 * Weight, balance, what changed against the reference, and what was found: in view on every step. `listed`: the findings
 * stand in full beside it.
 */
export function ReadoutBar({ listed }: { listed: boolean }) {
  const { failure, of, weighing, lastGood } = useWeighed();
  // Figures of an older state are marked as such: at once where the weighing failed, otherwise when it takes longer.
  const old = useProduct((design) => of !== null && of !== design);
  const waiting = useLonger(old && !failure, USUALLY_MS);
  // What cannot be built has no figures of its own: the last that could be built keeps its place.
  const kept = useLastFigures();
  const unbuilt = weighing !== null && !weighing.ok && (lastGood !== null || kept !== null);
  return (
    <section
      aria-label="Readout"
      className="readout"
      data-old={old && failure ? "failed" : waiting ? "weighing" : unbuilt ? "unbuilt" : undefined}
    >
      <ReadoutFigures kept={kept} />
      <div aria-live="polite" className="readout-findings" data-testid="findings">
        {failure && <Failure says={failure} />}
        {waiting && <p className="figures-old">Weighing … the figures are of the state before.</p>}
        {unbuilt && !failure && <Unbuilt />}
        {!failure && <FindingLines listed={listed} />}
      </div>
    </section>
  );
}

/** Whose figures are shown while the knife cannot be built, and the way back to it. */
function Unbuilt() {
  const { session } = useBench();
  const says = useLastEdit();
  const canUndo = useStore(session.temporal, (s) => s.pastStates.length > 0);
  return (
    <Text color="graphite" fontSize="sm" data-testid="unbuilt">
      Old figures: the last that could be built.
      {canUndo && (
        <Button size="2xs" variant="outline" ms="2" onClick={() => session.undo()}>
          Undo{says ? `: ${says}` : ""}
        </Button>
      )}
    </Text>
  );
}

function Failure({ says }: { says: string }) {
  const { weighAgain } = useBench();
  const weighing = useWeighing();
  return (
    <Text color="fault" role="alert">
      {weighing ? "These figures are of the knife before its last change. " : "The knife is not weighed. "}
      The weighing failed: {says}
      <Button size="2xs" variant="outline" ms="2" onClick={weighAgain}>
        Try again
      </Button>
    </Text>
  );
}

/** Whether all findings are shown, or the newest only; until the tab is closed. */
const unfolded = createStore<{ readonly open: boolean }>(() => ({ open: false }));

/**
 * What stands against the knife, the newest first: folded, its first line and how many there are; what can be fixed at
 * once has a button for it. Beside the full list of them only the count stands.
 */
const FindingLines = memo(function FindingLines({ listed }: { listed: boolean }) {
  const materialOf = useMaterialOf();
  const units = useUnits();
  const found = useFaults();
  const fixesOf = useFixesOf();
  const { session } = useBench();
  const noticed = useBenchState((s) => s.noticed);
  const review = useReview();
  const { open } = useStore(unfolded);
  const { partRefs, fixes } = useViews();
  const fix = useFix();
  const fixNow = useSteady((f: Finding, how: Fix) => {
    if (fixesOf) void fix(fixesOf, f, how);
  });
  if (!found) return null;
  const all = newestFirst(noticed, found, review?.findings ?? []);
  if (all.length === 0)
    return (
      <>
        <Text color="graphite">No findings.</Text>
        <Checking />
      </>
    );
  if (listed)
    return (
      <Text>
        <b>{countWords(all)}</b>, listed under{" "}
        <Link href="#findings" textDecoration="underline" color="ink">
          Findings
        </Link>
        . <Checking />
      </Text>
    );
  return (
    <>
      <HStack gap="2" minH="6">
        <Text fontWeight="600">{countWords(all)}</Text>
        {all.length > 1 && (
          <Button
            size="2xs"
            variant="outline"
            aria-expanded={open}
            onClick={() => unfolded.setState({ open: !open })}
          >
            {open ? "Show the newest only" : `Show all ${all.length}`}
          </Button>
        )}
        <Checking />
      </HStack>
      {(open ? all : all.slice(0, 1)).map((f, i) => (
        <FindingLine
          key={`${f.rule}-${f.subject ?? i}`}
          finding={f}
          says={findingWords(f, units, materialOf)}
          partRefs={partRefs(session.getState().design, f)}
          fix={
            fixesOf && fixes && f.fixes?.[0]
              ? { says: fixes.says(f.fixes[0], fixesOf, units), does: fixes.does(f.fixes[0], units) }
              : null
          }
          onFix={fixNow}
        />
      ))}
    </>
  );
});

/** Says that the rules are being looked through, or fixes tried, when that takes long. */
function Checking() {
  const design = useProduct((d) => d);
  const sound = useBenchState((s) => s.weighed.weighing?.ok === true && !s.dragging);
  const review = useReview();
  const old = review?.of !== design;
  return (
    <UnderWay
      on={sound && (old || (review?.trying ?? true))}
      says={old ? "Checking the rules …" : "Trying fixes …"}
    />
  );
}

interface FindingLineProps {
  readonly finding: Finding;
  /** What it refers to. */
  readonly partRefs: readonly PartRef[];
  readonly says: string;
  /** What the first of its fixes sets, and does. */
  readonly fix: { readonly says: string; readonly does: string } | null;
  readonly onFix: (finding: Finding, fix: Fix) => void;
}

/** One finding; drawn again only when it says something else or is fixed otherwise. */
const FindingLine = memo(
  function FindingLine({ finding, says, partRefs, fix, onFix }: FindingLineProps) {
    const offer = finding.fixes?.[0];
    const highlight = useHighlight(partRefs, finding.at);
    return (
      <Text
        color={SEVERITY_TINT[finding.severity]}
        fontSize="sm"
        lineHeight="1.3"
        mb="1"
        data-finding-line
        {...highlight}
      >
        <b>{severityWords(finding)}: </b>
        {says}
        {offer && fix && (
          <Button
            size="2xs"
            variant="outline"
            ms="2"
            title={fix.does}
            maxW="100%"
            whiteSpace="normal"
            h="auto"
            textAlign="start"
            onClick={() => onFix(finding, offer.fix)}
          >
            Fix: {fix.says}
          </Button>
        )}
      </Text>
    );
  },
  (a, b) =>
    a.says === b.says &&
    a.partRefs.join() === b.partRefs.join() &&
    a.finding.at?.x === b.finding.at?.x &&
    a.finding.at?.y === b.finding.at?.y &&
    a.finding.severity === b.finding.severity &&
    a.fix?.says === b.fix?.says &&
    a.fix?.does === b.fix?.does &&
    JSON.stringify(a.finding.fixes) === JSON.stringify(b.finding.fixes),
);
