"use client";
import { Button, Text } from "@chakra-ui/react";
import { printLength, printMass } from "@/core/base/units/print";
import { isOfBlade } from "@/core/figures/weigh/calibration";
import { measuredBalanceMm } from "@/core/knife/design/measuredBalance";
import { CUTS, wasIn } from "@/core/knife/starts/starts";
import { useUnits } from "@/store/settings";
import { CUT_WORDS } from "@/words/measured";
import { ChoiceAt, LengthAt, MassAt } from "../../bound/bound";
import { ChoiceField } from "../../fields/ChoiceField";
import { DayField } from "../../fields/DayField";
import { FieldRow } from "../../fields/FieldRow";
import { Tick } from "../../fields/Tick";
import { useBench, useDesign, useWeighing } from "../../session/BenchContext";

const BALANCE_KINDS = [
  { value: "direct", name: "On one edge" },
  { value: "supports", name: "On two supports" },
] as const;

const CHANGES = [
  { value: "describe", name: "Describe it as it was weighed" },
  { value: "after", name: "Are made to it after weighing" },
] as const;

const TAKES_WORDS = { blade: "Blade and tang", guard: "Guard", handle: "Handle" } as const;
const TAKES_WITHOUT_GUARD = { blade: TAKES_WORDS.blade, handle: TAKES_WORDS.handle } as const;

/** What was measured of a blade or a finished knife in the hand, and what is changed of it since. */
export function MeasuredFields() {
  const { edit } = useBench();
  const measured = useDesign((d) => d.blade.measured);
  const guarded = useDesign((d) => d.guard !== null);
  const units = useUnits();
  if (!measured) return null;
  const { of, balance, massG } = measured;
  const what = of.kind === "blade" ? "blade" : "knife";
  const balanceMm = measuredBalanceMm(measured);
  return (
    <>
      <Text color="graphite" fontSize="sm">
        {of.kind === "blade"
          ? "Weight and balance of blade and tang as they are, without guard or handle."
          : "Weight and balance of the whole knife as it is. What it is drawn heavier or lighter, one part of it takes."}
      </Text>
      {massG === null && <NotWeighed what={what} isFound={balanceMm !== null} />}
      <MassAt at="blade.measured.massG" label={`Weight of the ${what}`} open />
      <MassAt at="blade.measured.massOffG" />
      <FieldRow label="Weighed on">
        <DayField
          value={measured.onDay}
          onChange={(day) => edit({ code: "set", path: "blade.measured.onDay", to: day })}
        />
      </FieldRow>
      <ChoiceField
        label="Balance found"
        value={balance.kind}
        choices={BALANCE_KINDS}
        onChange={(way) => edit({ code: "balance-found", way })}
      />
      {balance.kind === "direct" ? (
        <LengthAt at="blade.measured.balance.xMm" help="Behind it is below zero." open />
      ) : (
        <>
          <LengthAt at="blade.measured.balance.restAtMm" />
          <LengthAt at="blade.measured.balance.scaleAtMm" />
          <MassAt at="blade.measured.balance.readingG" open />
          {balanceMm !== null && (
            <Text color="graphite" fontSize="sm">
              It balances {printLength(balanceMm, units)} ahead of the front.
            </Text>
          )}
        </>
      )}
      {massG !== null && balanceMm === null && (
        <Text color="graphite" fontSize="sm" role="status">
          Where it balances is not found yet: until then the drawing says it.
        </Text>
      )}
      <LengthAt at="blade.measured.balanceOffMm" />
      {of.kind === "knife" && (
        <ChoiceAt
          at="blade.measured.of.takes"
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
        onChange={(to) => edit({ code: "keep-drawing", keeps: to === "after" })}
      />
      {of.kind === "blade" && of.asWeighed && <CutFields />}
      {of.asWeighed && (
        <>
          <SinceWeighed />
          <Button size="xs" variant="outline" alignSelf="start" onClick={() => edit({ code: "weighed-now" })}>
            It was weighed as it is drawn now
          </Button>
        </>
      )}
    </>
  );
}

/** What stands until it has been weighed, and what to do. */
function NotWeighed({ what, isFound }: { what: string; isFound: boolean }) {
  const units = useUnits();
  const weighing = useWeighing();
  const parts = weighing?.ok ? weighing.report.parts : [];
  const drawn = what === "blade" ? parts.filter(isOfBlade) : parts;
  const drawnG = drawn.reduce((sum, p) => sum + p.massG, 0);
  return (
    <Text role="status" data-testid="not-weighed">
      <b>Weigh it.</b> The {what} is not weighed yet: until then its drawing says what it weighs
      {drawnG > 0 && `, ${printMass(drawnG, units)}`}.{isFound && " Its balance counts once it is weighed."}
    </Text>
  );
}

/** Which kinds of cut were in a blade when it was weighed. */
function CutFields() {
  const { edit } = useBench();
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
            onChange={(on) => edit({ code: "cut-was-in", cut, isIn: on })}
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
  if (!measured || measured.massG === null || !weighing?.ok) return null;
  const { parts } = weighing.report;
  const on = measured.of.kind === "blade" ? parts.filter(isOfBlade) : parts;
  const massG = on.reduce((sum, p) => sum + p.massG, 0);
  return (
    <Text fontSize="sm">
      It weighed {printMass(measured.massG, units)}; as it is drawn now it weighs {printMass(massG, units)}.
    </Text>
  );
}
