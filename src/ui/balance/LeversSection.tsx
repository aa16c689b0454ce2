"use client";
import { Box, Button, Text } from "@chakra-ui/react";
import { memo, useMemo } from "react";
import { remembered } from "@/core/base/record/remembered";
import { ROUNDING } from "@/core/base/tolerances";
import { printLength, printMass } from "@/core/base/units/print";
import { type PartRef, partRefsOfChange } from "@/core/figures/review/partRefs";
import type { LeverEffect } from "@/core/figures/tune/effects";
import { leversOf, withLevers } from "@/core/figures/tune/levers";
import type { Design } from "@/core/knife/design/schema";
import { outside } from "@/core/knife/design/uses";
import { useUnits } from "@/store/settings";
import { small } from "@/words/grammar";
import { leverWords, signed, stepWords } from "@/words/levers";
import { useMaterialOf } from "../kit/materials";
import { color } from "../kit/theme";
import { UnderWay } from "../kit/UnderWay";
import { useWorkerQuery } from "../kit/useWorkerQuery";
import { Figures, Note, Section } from "../report/Section";
import { useReport, useSettledDesign } from "../session/BenchContext";
import type { Ghost } from "./ghost";

/** Every change that could be made, by what a sensible step of it does. */
export const LeversSection = memo(function LeversSection({ onTry }: { onTry: (ghost: Ghost) => void }) {
  const design = useSettledDesign();
  const units = useUnits();
  const report = useReport();
  const { answer: levers, failed, isLoading } = useWorkerQuery(report ? design : null, (s, d) => s.levers(d));
  const most = Math.max(ROUNDING, ...(levers ?? []).map((l) => Math.abs(l.balanceMm)));
  const still = useMemo(() => {
    const pulled = new Set(levers?.map((l) => l.id));
    return leversOf(design).filter((l) => l.unit !== "choice" && l.high > l.low && !pulled.has(l.id));
  }, [design, levers]);
  const partRefs = useMemo(() => leverPartRefs(design), [design]);
  const helps = (l: LeverEffect) => {
    if (!report) return false;
    const now = Math.abs(outside(report.balanceMm, design.use.balanceMm));
    return now > 0 && Math.abs(outside(report.balanceMm + l.balanceMm, design.use.balanceMm)) < now;
  };
  const materialOf = useMaterialOf();
  const tryIt = (l: LeverEffect) => {
    const next = withLevers(design, new Map([[l.id, l.amount]]));
    if (next) onTry({ edit: { code: "pull", amounts: { [l.id]: l.amount } }, design: next, of: design });
  };
  return (
    <Section id="levers" title="What each change does">
      {failed && (
        <Text color="fault">
          The changes could not be tried. Change anything, or open the view again, to try once more.
        </Text>
      )}
      <UnderWay on={report !== null && isLoading} says="Trying each change once …" />
      {levers && (
        <Figures
          label="Changes"
          rows={levers}
          keyOf={(l) => `${l.id} ${l.amount}`}
          none="Nothing can be changed."
          partRefsOf={(l) => partRefs.get(l.id) ?? []}
          columns={[
            { name: "Change", of: (l) => stepWords(l, units, materialOf) },
            { name: "Weight", number: true, of: (l) => signed(l.massG, (v) => printMass(v, units)) },
            {
              name: "Balance",
              number: true,
              of: (l) => signed(l.balanceMm, (v) => printLength(v, units, 2)),
            },
            {
              name: "Balance, drawn",
              unseen: true,
              of: (l) => <Reach balanceMm={l.balanceMm} most={most} />,
            },
            { name: "Whether it helps", unseen: true, of: (l) => (helps(l) ? "toward the window" : "") },
            {
              name: "Try it",
              unseen: true,
              of: (l) => (
                <Button
                  size="2xs"
                  variant="outline"
                  aria-label={`Try ${stepWords(l, units, materialOf)}`}
                  onClick={() => tryIt(l)}
                >
                  Try
                </Button>
              ),
            },
          ]}
        />
      )}
      {levers && still.length > 0 && (
        <Note>
          Left out, since a step of them cannot be built either way:{" "}
          {still.map((l) => small(leverWords(l.id, materialOf))).join(", ")}.
        </Note>
      )}
      <Note>One usual step of each; toward the tip is +. Steps do not add up exactly: try them.</Note>
    </Section>
  );
});

/** Which parts of the knife each lever changes, by the lever's id. */
export const leverPartRefs = remembered((design: Design): ReadonlyMap<string, readonly PartRef[]> => {
  const partRefs = new Map<string, readonly PartRef[]>();
  for (const lever of leversOf(design)) {
    const changes = [lever.step, -lever.step].map((by) => {
      const next = lever.apply(design, by);
      return next ? partRefsOfChange(design, next) : [];
    });
    partRefs.set(lever.id, changes.find((c) => c.length > 0) ?? []);
  }
  return partRefs;
});

/** How far it moves the balance, back to the left and forward to the right. */
function Reach({ balanceMm, most }: { balanceMm: number; most: number }) {
  const half = 46;
  const w = (Math.abs(balanceMm) / most) * half;
  return (
    <Box aria-hidden>
      <svg width={2 * half + 2} height="12" aria-hidden="true">
        <rect x={balanceMm < 0 ? half - w : half} y="2" width={w} height="8" fill={color("bronze")} />
        <line x1={half} x2={half} y1="0" y2="12" stroke={color("ink")} />
      </svg>
    </Box>
  );
}
