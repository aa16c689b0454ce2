import { billOfMaterials, type MaterialLine } from "../figures/cost/billOfMaterials";
import { bladeBox, type Size } from "../figures/fit/bladeStock";
import { cutList } from "../figures/fit/stockList";
import type { MassReport } from "../figures/weigh/report";
import type { Design } from "../knife/design/schema";
import type { CutKey } from "../knife/parts/cutKey";
import { planOf } from "../plan/planOf";
import type { Schools } from "../plan/types";
import type { Supply } from "./supplies";

/** A bar that a blade is forged of: its section, what scales off in the fire, and what is ground off all round. */
export interface Forging {
  readonly widthMm: number;
  readonly thicknessMm: number;
  /** Lost as scale, as a share of the volume. */
  readonly scaleShare: number;
  readonly grindMm: number;
}

/** What burns off as scale while a blade is forged. From memory. */
export const USUAL_SCALE_SHARE = 0.1;

/** Something that one knife takes. */
export type Need =
  | {
      readonly kind: "stock";
      readonly id: string;
      readonly what: CutKey;
      readonly of: string;
      readonly sawnMm: Size;
      readonly blankMm: Size;
      readonly count: number;
      readonly lengthwise: boolean;
      readonly kerfMm: number;
      readonly pair: boolean;
      /** Whether one mistake ruins it: a spare is worth having. */
      readonly spoilt: boolean;
    }
  /** A bar to forge of, its length worked out. */
  | {
      readonly kind: "bar";
      readonly of: string;
      readonly widthMm: number;
      readonly thicknessMm: number;
      readonly lengthMm: number;
    }
  | {
      readonly kind: "rod";
      readonly of: string;
      readonly diameterMm: number;
      readonly count: number;
      readonly blankMm: number;
      readonly kerfMm: number;
    }
  /** Built up or cast: as rod to weld or to melt, by its mass and its volume. */
  | { readonly kind: "built-up"; readonly of: string; readonly massG: number; readonly volumeMm3: number }
  | { readonly kind: "mass"; readonly of: string; readonly massG: number; readonly glue: boolean }
  | { readonly kind: "hardware"; readonly of: string; readonly count: number }
  | { readonly kind: "supply"; readonly of: Supply; readonly amount: number };

/** What is added to metal that is built up: spatter, ends of rods and what is filed off. From memory. */
export const BUILT_UP_MORE = 0.2;

/**
 * Length of a bar that a blade is forged of: (weighed volume + what is ground off) × (1 + scale loss) / section of the bar.
 * mm, mm³.
 */
export function barLength(
  volumeMm3: number,
  surfaceMm2: number,
  { widthMm, thicknessMm, scaleShare, grindMm }: Forging,
): number {
  return ((volumeMm3 + surfaceMm2 * grindMm) * (1 + scaleShare)) / (widthMm * thicknessMm);
}

/** Both faces of blade and tang, mm²: what is ground off them goes with their area. */
const facesMm2 = ({ lengthMm, heightMm }: Size): number => 2 * lengthMm * heightMm;

/** A blade that is bought or measured is forged of nothing. */
function barNeed(design: Design, report: MassReport, forged: Forging): Need | null {
  if (design.blade.measured) return null;
  const steel = report.parts.filter((p) => p.key.kind === "blade" || p.key.kind === "tang");
  const volume = steel.reduce((sum, p) => sum + p.volumeMm3, 0);
  const { widthMm, thicknessMm } = forged;
  return {
    kind: "bar",
    of: design.blade.steel,
    widthMm,
    thicknessMm,
    lengthMm: barLength(volume, facesMm2(bladeBox(design)), forged),
  };
}

const SPOILT: ReadonlySet<CutKey["kind"]> = new Set(["scale", "guard", "piece", "bolster", "frame"]);

/** A line of a knife's bill as what is needed for it. */
function needOf(line: MaterialLine, design: Design, report: MassReport): Need {
  const { kerfMm } = design.workshop.saw;
  switch (line.kind) {
    case "sawn": {
      const piece = cutList(design).find((c) => c.key === line.what);
      const { what, key, sawnMm, blankMm, count, lengthwise } = line;
      return {
        kind: "stock",
        id: piece?.id ?? key,
        what,
        of: key,
        sawnMm,
        blankMm,
        count,
        lengthwise,
        kerfMm,
        pair: piece?.pair ?? false,
        spoilt: SPOILT.has(what.kind),
      };
    }
    case "rod":
      return {
        kind: "rod",
        of: line.key,
        diameterMm: line.diameterMm,
        count: line.count,
        blankMm: line.lengthMm / line.count,
        kerfMm,
      };
    case "hardware":
      return { kind: "hardware", of: line.key, count: line.count };
    case "mass": {
      const built = cutList(design).find(
        (c) =>
          c.made === "built-up" &&
          line.what !== "glue" &&
          c.material === line.key &&
          report.parts.some((p) => p.id === c.id && p.key === line.what),
      );
      if (!built) return { kind: "mass", of: line.key, massG: line.massG, glue: line.what === "glue" };
      const part = report.parts.find((p) => p.id === built.id);
      const more = 1 + BUILT_UP_MORE;
      return {
        kind: "built-up",
        of: line.key,
        massG: line.massG * more,
        volumeMm3: (part?.volumeMm3 ?? 0) * more,
      };
    }
  }
}

/** A bath's volume round a piece that hangs in it with room on every side, ml. */
const bathMl = ({ lengthMm, heightMm, thicknessMm }: Size): number =>
  ((lengthMm + 40) * (heightMm + 30) * (thicknessMm + 30)) / 1000;

/** Oil for a quench: 8 l a kilogram of steel; less gets too hot. From memory. */
const OIL_ML_PER_G = 8;
const SODA_G_PER_L = 100;
const SOLVENT_ML = 20;
const FINISH_ML = 10;
/** Sheets of paper for one grit of a blade's faces, and of a handle: half a sheet each. From memory. */
const PAPER_SHEETS = 0.5;

/** What the tasks of a knife use up. */
function supplies(design: Design, report: MassReport, schools: Schools): Need[] {
  const tasks = planOf(design, schools);
  const has = (kind: (typeof tasks)[number]["kind"]) => tasks.some((t) => t.kind === kind);
  const need = (of: Supply, amount: number): Need => ({ kind: "supply", of, amount });
  const steelG = report.parts
    .filter((p) => p.key.kind === "blade" || p.key.kind === "tang")
    .reduce((s, p) => s + p.massG, 0);
  const bath = bathMl(bladeBox(design));
  const papers: Supply[] = ["paper-220", "paper-320", "paper-400", "paper-600"];
  const sheets = PAPER_SHEETS * ((has("surface-blade") ? 1 : 0) + (has("sand-handle") ? 1 : 0));
  return [
    ...(has("harden") ? [need("quench-oil", steelG * OIL_ML_PER_G)] : []),
    ...(has("acid-etch") ? [need("acid", bath), need("soda", (bath / 1000) * SODA_G_PER_L)] : []),
    ...(has("darken") ? [need("vinegar", bath), need("soda", (bath / 1000) * SODA_G_PER_L)] : []),
    ...(has("degrease") ? [need("solvent", SOLVENT_ML)] : []),
    ...(has("tape-blade") ? [need("film-tape", (4 * design.blade.lengthMm) / 1000)] : []),
    ...(has("finish-handle") ? [need("oil-finish", FINISH_ML)] : []),
    ...(sheets > 0 ? papers.map((p) => need(p, sheets)) : []),
    ...(has("profile") || has("contour") ? [need("belts", 1)] : []),
  ];
}

/** Everything that one knife takes, bought, sawn, mixed and used up. Of a design that can be built. */
export function needsOf(
  design: Design,
  report: MassReport,
  schools: Schools,
  forged: Forging | null = null,
): readonly Need[] {
  const lines = billOfMaterials(design, report).map((line) => needOf(line, design, report));
  const bar = forged && barNeed(design, report, forged);
  const stock = bar ? [bar, ...lines.filter((n) => n.kind !== "stock" || n.what.kind !== "blade")] : lines;
  return [...stock, ...supplies(design, report, schools)];
}
