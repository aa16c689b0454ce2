"use client";
import { Button, Text } from "@chakra-ui/react";
import { measuredBalanceMm } from "@/core/design/measuredBalance";
import {
  bareBladeOf,
  CUTS,
  type Cut,
  finishedKnifeOf,
  wasIn,
  withBalanceKind,
  withCut,
} from "@/core/design/starts";
import { printLength, printMass } from "@/core/units/print";
import { isOfBlade } from "@/core/weigh/calibration";
import { useUnits } from "@/store/settings";
import { ChoiceAt, LengthAt, MassAt } from "../../fields/bound";
import { ChoiceField } from "../../fields/ChoiceField";
import { DayField } from "../../fields/DayField";
import { FieldRow } from "../../fields/FieldRow";
import { Tick } from "../../fields/Tick";
import { useBench, useDesign, useWeighing } from "../BenchContext";

const BALANCE_KINDS = [
  { value: "direct", name: "On one edge" },
  { value: "supports", name: "On two supports" },
] as const;

const CHANGES = [
  { value: "describe", name: "Describe it as it was weighed" },
  { value: "after", name: "Are made to it after weighing" },
] as const;

const CUT_WORDS: Record<Cut, string> = {
  bores: "Holes for pins and bolts were in it",
  openings: "Other holes and slots were in it",
  recess: "The recess was in it",
  taper: "The tang's taper was in it",
};

const TAKES_WORDS = { blade: "Blade and tang", guard: "Guard", handle: "Handle" } as const;
const TAKES_WITHOUT_GUARD = { blade: TAKES_WORDS.blade, handle: TAKES_WORDS.handle } as const;

/** What was measured of a blade or a finished knife in the hand, and what is changed of it since. */
export function MeasuredFields() {
  const { edit, session } = useBench();
  const measured = useDesign((d) => d.blade.measured);
  const guarded = useDesign((d) => d.guard !== null);
  const units = useUnits();
  if (!measured) return null;
  const { of, balance } = measured;
  const what = of.kind === "blade" ? "blade" : "knife";
  return (
    <>
      <Text color="graphite" fontSize="sm">
        {of.kind === "blade"
          ? "Weight and balance of blade and tang as they are, without guard or handle."
          : "Weight and balance of the whole knife as it is. What it is drawn heavier or lighter, one part of it takes."}
      </Text>
      <MassAt at="blade.measured.massG" label={`Weight of the ${what}`} />
      <MassAt at="blade.measured.massOffG" label="The scale may be off by" />
      <FieldRow label="Weighed on">
        <DayField
          value={measured.onDay}
          onChange={(day) =>
            edit("Change the day it was weighed", (d) => {
              if (d.blade.measured) d.blade.measured.onDay = day;
            })
          }
        />
      </FieldRow>
      <ChoiceField
        label="Balance found"
        value={balance.kind}
        choices={BALANCE_KINDS}
        onChange={(kind) =>
          edit("Change how the balance was found", (d) => {
            d.blade.measured = withBalanceKind(session.getState().design.blade, kind);
          })
        }
      />
      {balance.kind === "direct" ? (
        <LengthAt
          at="blade.measured.balance.xMm"
          label="Balances ahead of the front"
          help="Behind it is below zero."
        />
      ) : (
        <>
          <LengthAt at="blade.measured.balance.restAtMm" label="Plain support at" />
          <LengthAt at="blade.measured.balance.scaleAtMm" label="Support on the scale at" />
          <MassAt at="blade.measured.balance.readingG" label="The scale reads" />
          <Text color="graphite" fontSize="sm">
            It balances {printLength(measuredBalanceMm(measured), units)} ahead of the front.
          </Text>
        </>
      )}
      <LengthAt at="blade.measured.balanceOffMm" label="Balance may be off by" />
      {of.kind === "knife" && (
        <ChoiceAt
          at="blade.measured.of.takes"
          label="Assign the difference to"
          names={(guarded ? TAKES_WORDS : TAKES_WITHOUT_GUARD) as typeof TAKES_WORDS}
        />
      )}
      <ChoiceField
        label="Changes to the drawing"
        value={of.asWeighed ? "after" : "describe"}
        choices={CHANGES}
        wide
        help={
          of.asWeighed
            ? "The drawing as it was weighed is kept: what is cut or added since changes weight and balance."
            : "The weight stays what the scale said, whatever is drawn."
        }
        onChange={(to) =>
          edit(to === "after" ? "Keep the drawing as weighed" : "Describe what was weighed", (d) => {
            const now = session.getState().design;
            const kept = d.blade.measured?.of;
            if (kept?.kind === "blade") kept.asWeighed = to === "after" ? bareBladeOf(now) : null;
            if (kept?.kind === "knife") kept.asWeighed = to === "after" ? finishedKnifeOf(now) : null;
          })
        }
      />
      {of.kind === "blade" && of.asWeighed && <CutFields />}
      {of.asWeighed && (
        <>
          <SinceWeighed />
          <Button
            size="xs"
            variant="outline"
            alignSelf="start"
            onClick={() =>
              edit("It was weighed as it is drawn now", (d) => {
                const now = session.getState().design;
                const kept = d.blade.measured?.of;
                if (kept?.kind === "blade") kept.asWeighed = bareBladeOf(now);
                if (kept?.kind === "knife") kept.asWeighed = finishedKnifeOf(now);
              })
            }
          >
            It was weighed as it is drawn now
          </Button>
        </>
      )}
    </>
  );
}

/** Which kinds of cut were in a blade when it was weighed. */
function CutFields() {
  const { edit, session } = useBench();
  const design = useDesign((d) => d);
  const of = design.blade.measured?.of;
  const then = of?.kind === "blade" ? of.asWeighed : null;
  if (!then) return null;
  return (
    <>
      {CUTS.map((cut) => {
        const isIn = wasIn(design, then, cut);
        return isIn === null ? null : (
          <Tick
            key={cut}
            label={CUT_WORDS[cut]}
            checked={isIn}
            onChange={(on) =>
              edit(CUT_WORDS[cut], (d) => {
                const kept = d.blade.measured?.of;
                if (kept?.kind === "blade")
                  kept.asWeighed = withCut(session.getState().design, then, cut, on);
              })
            }
          />
        );
      })}
    </>
  );
}

/** What the parts that were weighed have come to since. */
function SinceWeighed() {
  const measured = useDesign((d) => d.blade.measured);
  const weighing = useWeighing();
  const units = useUnits();
  if (!measured || !weighing?.ok) return null;
  const { parts } = weighing.report;
  const on = measured.of.kind === "blade" ? parts.filter(isOfBlade) : parts;
  const massG = on.reduce((sum, p) => sum + p.massG, 0);
  return (
    <Text fontSize="sm">
      It weighed {printMass(measured.massG, units)}; as it is drawn now it weighs {printMass(massG, units)}.
    </Text>
  );
}
