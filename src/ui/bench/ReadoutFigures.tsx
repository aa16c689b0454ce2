"use client";
import { memo } from "react";
import { useStore } from "zustand";
import {
  lengthUnitName,
  printLength,
  printLengthBare,
  printMass,
  type UnitSystem,
} from "@/core/base/units/print";
import type { LastFigures } from "@/store/lastFigures";
import { useUnits } from "@/store/settings";
import { color } from "../kit/theme";
import { useBench, useReport, useViews, useWeighed } from "../session/BenchContext";

/** Weight, balance, centre of mass, and what changed against the reference. `kept`: of a knife that was opened when it could not be built, what the rack knows. */
export const ReadoutFigures = memo(function ReadoutFigures({ kept }: { kept: LastFigures | null }) {
  const { autosave } = useBench();
  const units = useUnits();
  const { of: now, lastGood } = useWeighed();
  const views = useViews();
  const good = useReport();
  const [report, of] = good ? [good, now] : [lastGood?.report ?? null, lastGood?.of ?? null];
  const reference = useStore(autosave, (s) => s.reference);
  const bare = (mm: number) => printLengthBare(mm, units);
  return (
    <>
      <Figure
        name="Weight"
        tint="oxide"
        testId="weight"
        value={printed(report ?? kept, (f) => printMass(f.massG, units))}
        exact={(report ?? kept)?.massG}
        below={
          report &&
          `${bareMass(report.massIntervalG[0], units)} to ${printMass(report.massIntervalG[1], units)}`
        }
      />
      <Figure
        name="Balance"
        tint="bronze"
        testId="balance"
        value={printed(report ?? kept, (f) => printLength(f.balanceMm, units))}
        exact={(report ?? kept)?.balanceMm}
        below={
          report &&
          of &&
          `${views.balance(report.balanceMm, of, units)}\n${bare(report.balanceIntervalMm[0])} to ${bare(report.balanceIntervalMm[1])} ${lengthUnitName(units)}`
        }
      />
      <Figure
        name="Centre of mass"
        testId="height"
        spared
        value={report ? printLength(report.centreMm[1], units) : "–"}
        exact={report?.centreMm[1]}
        below={
          report &&
          `${report.centreMm[1] >= 0 ? "above" : "below"} the axis${sideways(report.centreMm[2], units)}`
        }
      />
      <Figure
        name="Against the reference"
        testId="change"
        spared
        value={
          report && reference?.massG != null
            ? change(report.massG - reference.massG, (v) => printMass(v, units))
            : "–"
        }
        below={
          reference?.balanceMm != null && report
            ? `balance ${change(report.balanceMm - reference.balanceMm, (v) => printLength(v, units))}`
            : "Set a reference to compare with"
        }
      />
    </>
  );
});

const printed = <F,>(figures: F | null, print: (figures: F) => string): string =>
  figures === null ? "–" : print(figures);

interface FigureProps {
  readonly name: string;
  readonly value: string;
  /** The same, not rounded, in g or mm: for who reads the page by program. */
  readonly exact?: number;
  /** Lines under it. */
  readonly below?: string | null;
  readonly tint?: Parameters<typeof color>[0];
  readonly testId: string;
  /** Left out where the window is as narrow as a telephone. */
  readonly spared?: true;
}

/** One of the figures; drawn again only when it reads otherwise. */
const Figure = memo(function Figure({ name, value, exact, below, tint, testId, spared }: FigureProps) {
  return (
    <div className="figure" data-spared={spared || undefined}>
      <p className="figure-name">{name}</p>
      <data
        className="figure-value"
        value={exact}
        style={{ color: color(tint ?? "ink") }}
        data-testid={testId}
      >
        {value}
      </data>
      <p className="figure-below">{below}</p>
    </div>
  );
});

/** A mass without its unit, before one that has it. */
function bareMass(massG: number, units: UnitSystem): string {
  return printMass(massG, units).replace(/ \S+$/, "");
}

function change(by: number, print: (v: number) => string): string {
  const text = print(by);
  return by > 0 && !/^0(\.0*)? /.test(text) ? `+${text}` : text;
}

function sideways(z: number, units: UnitSystem): string {
  if (Math.abs(z) < 0.05) return ", on the middle plane";
  return `, ${printLength(Math.abs(z), units)} to the ${z > 0 ? "right" : "left"}`;
}
