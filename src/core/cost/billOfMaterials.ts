import type { PartKey } from "../assembly/partKey";
import type { Contour } from "../curve/contour";
import { handleReach } from "../design/constructions";
import type { Design } from "../design/schema";
import { FASTENER_KINDS, isBought, kindOf } from "../fasteners/registry";
import type { CutKey } from "../fit/cutKey";
import { gluePlan } from "../fit/glue";
import { pinLayout } from "../fit/pinLayout";
import { type CutPiece, cutList, rodList, type Size } from "../fit/stockList";
import { layoutOf } from "../layout/layout";
import { materialById } from "../stock/materials";
import { endKindOf } from "../tangEnds/registry";
import { INSIDE_MM } from "../tolerances";
import type { MassReport } from "../weigh/report";
import type { Hardware } from "./shop";

/** Something that a knife takes, before anything is known of its price. */
export type MaterialLine =
  /** Sawn out of stock. */
  | {
      readonly kind: "sawn";
      readonly what: CutKey;
      readonly key: string;
      readonly count: number;
      /** With room all round and the saw's kerf. */
      readonly sawnMm: Size;
      /** The same without the kerf. */
      readonly blankMm: Size;
      readonly lengthwise: boolean;
    }
  /** Cut off a rod or tube; the length is of all of them together. */
  | {
      readonly kind: "rod";
      readonly what: "rods" | "patterned-rod";
      readonly key: string;
      readonly count: number;
      readonly diameterMm: number;
      readonly lengthMm: number;
    }
  /** By its mass alone: glue, and fittings that no outline of stock is told for. */
  | { readonly kind: "mass"; readonly what: PartKey | "glue"; readonly key: string; readonly massG: number }
  | { readonly kind: "hardware"; readonly key: Hardware; readonly count: number };

/** Density of a material of the list, g/mm³. */
export function densityGmm3(id: string): number {
  const found = materialById(id);
  if (!found) throw new Error(`no material "${id}"`);
  return found.densityGcc.typical / 1000;
}

function heightOf(contours: readonly Contour[]): number {
  let [low, high] = [0, 0];
  for (const c of contours)
    for (let i = 0; i <= 60; i++) {
      const ys = c.cut(c.xRange[0] + INSIDE_MM + ((c.xRange[1] - c.xRange[0] - 2 * INSIDE_MM) * i) / 60);
      if (ys.length > 1) [low, high] = [Math.min(low, ys[0]), Math.max(high, ys[ys.length - 1])];
    }
  return high - low;
}

/** The bar or sheet that blade and tang are cut out of in one. */
function bladeBlank(design: Design): MaterialLine {
  const { blade, tang, fitUp } = design;
  const { kerfMm } = fitUp.stock;
  const room = 2 * fitUp.stock.allowanceMm;
  const full = tang.kind === "full";
  const behind = full ? (tang.short?.lengthMm ?? handleReach(design)) : tang.lengthMm;
  const outlines = [layoutOf(design).bladeOutline, ...(full ? [layoutOf(design).outline] : [])];
  const blankMm = {
    lengthMm: blade.lengthMm + behind + room,
    heightMm: heightOf(outlines) + room,
    thicknessMm: Math.max(blade.spineMm, full ? 0 : tang.frontThicknessMm),
  };
  return {
    kind: "sawn",
    what: { kind: "blade" },
    key: blade.steel,
    count: 1,
    sawnMm: {
      ...blankMm,
      lengthMm: blankMm.lengthMm + kerfMm,
      heightMm: blankMm.heightMm + kerfMm,
    },
    blankMm,
    lengthwise: true,
  };
}

/** A sawn piece without the kerf, which is in every side that is shaped afterwards. */
function withoutKerf(piece: CutPiece, kerfMm: number): Size {
  const side = (of: keyof Size) =>
    piece.sawnMm[of] > piece.finishedMm[of] ? piece.sawnMm[of] - kerfMm : piece.sawnMm[of];
  return { lengthMm: side("lengthMm"), heightMm: side("heightMm"), thicknessMm: side("thicknessMm") };
}

/** Parts that weigh something, that no list of stock has, and that are not bought finished. */
function looseParts({ guard }: Design, report: MassReport): MaterialLine[] {
  return report.parts
    .filter(
      ({ key }) => key.kind === "fitting" || key.kind === "ring" || (guard?.mesh && key.kind === "guard"),
    )
    .map((p) => ({ kind: "mass", what: p.key, key: p.material.split("+")[0], massG: p.massG }));
}

function hardware({ fasteners, tang }: Design): MaterialLine[] {
  const lines: MaterialLine[] = [];
  for (const kind of FASTENER_KINDS) {
    const count = isBought(kind) ? fasteners.filter((f) => f.kind === kind).length : 0;
    if (count > 0) lines.push({ kind: "hardware", key: `each:${kind}`, count });
  }
  const bought = tang.kind === "hidden" ? endKindOf(tang.end).hardware : null;
  if (bought) lines.push({ kind: "hardware", key: `each:${bought}`, count: 1 });
  return lines;
}

/** Patterned pins are cut from one rod, sold for what its tube is of. */
function patternedRods(design: Design): MaterialLine[] {
  const places = new Map(pinLayout(design).map((p) => [p.id, p.blankMm]));
  return design.fasteners.flatMap((f): MaterialLine[] => {
    const stock = kindOf(f).stock(f);
    if (stock.kind !== "patterned-rod") return [];
    const lengthMm = (places.get(f.id) ?? 0) + design.fitUp.stock.kerfMm;
    const { material: key } = stock;
    return [{ kind: "rod", what: "patterned-rod", key, count: 1, diameterMm: f.diameterMm, lengthMm }];
  });
}

/** All that one knife takes: stock with room to saw, rods, hardware, glue as it is mixed. */
export function billOfMaterials(design: Design, report: MassReport): MaterialLine[] {
  const through = new Map(pinLayout(design).map((p) => [p.id, p.throughMm]));
  const glue = gluePlan(design, through);
  const glueG = glue.partA.g + glue.partB.g;
  const blade: MaterialLine = design.blade.measured
    ? { kind: "hardware", key: "each:blade", count: 1 }
    : bladeBlank(design);
  return [
    blade,
    ...cutList(design).map(
      (c): MaterialLine => ({
        kind: "sawn",
        what: c.key,
        key: c.material,
        count: c.count,
        sawnMm: c.sawnMm,
        blankMm: withoutKerf(c, design.fitUp.stock.kerfMm),
        lengthwise: c.grain === "lengthwise",
      }),
    ),
    ...looseParts(design, report),
    ...rodList(design).map(
      (r): MaterialLine => ({
        kind: "rod",
        what: "rods",
        key: r.material,
        count: r.count,
        diameterMm: r.diameterMm,
        lengthMm: r.lengthMm,
      }),
    ),
    ...patternedRods(design),
    ...hardware(design),
    ...(glueG > 0 ? [{ kind: "mass" as const, what: "glue" as const, key: "epoxy", massG: glueG }] : []),
  ];
}
