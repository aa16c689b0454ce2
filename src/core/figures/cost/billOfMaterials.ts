import { FASTENER_KINDS, isBought } from "../../kinds/fasteners/registry";
import { endKindOf } from "../../kinds/tangEnds/registry";
import { materialsIn } from "../../knife/design/materials";
import type { Design } from "../../knife/design/schema";
import { wrapPlan } from "../../knife/layout/grips";
import { layoutOf } from "../../knife/layout/layout";
import type { CutKey } from "../../knife/parts/cutKey";
import type { PartKey } from "../../knife/parts/partKey";
import type { MaterialOf } from "../../materials/types";
import type { Size } from "../fit/bladeStock";
import { gluePlan } from "../fit/glue";
import { pinLayout } from "../fit/pinLayout";
import { rodList } from "../fit/rodList";
import { type CutPiece, cutList } from "../fit/stockList";
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
  /** By its mass alone: glue, and fittings that have no outline of stock. */
  | { readonly kind: "mass"; readonly what: PartKey | "glue"; readonly key: string; readonly massG: number }
  | { readonly kind: "hardware"; readonly key: Hardware; readonly count: number };

/** Density of a material of a knife, g/mm³. */
export function densityGmm3(id: string, materialOf: MaterialOf): number {
  const found = materialOf(id);
  if (!found) throw new Error(`no material "${id}"`);
  return found.densityGcc.typical / 1000;
}

/** A sawn piece without the kerf, which is in every side that is shaped afterwards. */
export function withoutKerf(piece: CutPiece, kerfMm: number): Size {
  const side = (of: keyof Size) =>
    piece.sawnMm[of] > piece.finishedMm[of] ? piece.sawnMm[of] - kerfMm : piece.sawnMm[of];
  return { lengthMm: side("lengthMm"), heightMm: side("heightMm"), thicknessMm: side("thicknessMm") };
}

/**
 * How each kind of part is paid for: by the stock that it is cut from, as hardware or rod, by its own mass, with the glue
 * where it is nothing but glue, or not at all.
 */
export const PAID_AS: Readonly<Record<PartKey["kind"], "stock" | "fastener" | "mass" | "fill" | "nothing">> =
  {
    blade: "stock",
    tang: "stock",
    "tang-rest": "stock",
    frame: "stock",
    guard: "stock",
    bolster: "stock",
    liner: "stock",
    scale: "stock",
    divider: "stock",
    lower: "stock",
    "lengthwise-sheet": "stock",
    half: "stock",
    piece: "stock",
    fastener: "fastener",
    "tang-end": "fastener",
    fitting: "mass",
    ring: "mass",
    component: "mass",
    wrap: "mass",
    hole: "fill",
    slot: "fill",
    recess: "fill",
    "guard-slot": "fill",
    "tang-hole": "fill",
    "blade-notch": "nothing",
    groove: "nothing",
    "ring-bore": "nothing",
    "bare-end": "nothing",
  };

/** Parts that weigh something, that no list of stock has, and that are not bought finished. */
function looseParts(design: Design, report: MassReport): MaterialLine[] {
  const materialOf = materialsIn(design);
  return report.parts.flatMap((p): MaterialLine[] => {
    const material = p.material.split("+")[0];
    const as = PAID_AS[p.key.kind];
    // A fitting of two sheets is cut from stock. A shape that came in has no outline of it; a fill of glue is mixed with the rest of it.
    const halved = p.key.kind === "fitting" && p.key.side !== null;
    const loose =
      (as === "mass" && !halved) ||
      (p.key.kind === "guard" && design.guard?.mesh) ||
      (as === "fill" && materialOf(material)?.class !== "adhesive");
    if (!loose || !(p.massG > 0)) return [];
    const plan = p.key.kind === "wrap" ? wrapPlan(layoutOf(design), (p.key.number ?? 1) - 1) : null;
    const spare = plan && plan.lengthMm > 0 ? plan.buyMm / plan.lengthMm : 1;
    return [{ kind: "mass", what: p.key, key: material, massG: p.massG * spare }];
  });
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

/** A piece that is sawn, or what of its material it takes where it is printed or built up. */
function pieceLine(c: CutPiece, kerfMm: number, report: MassReport): MaterialLine {
  if (c.made === "sawn")
    return {
      kind: "sawn",
      what: c.key,
      key: c.material,
      count: c.count,
      sawnMm: c.sawnMm,
      blankMm: withoutKerf(c, kerfMm),
      lengthwise: c.grain !== null,
    };
  const part = report.parts.find((p) => p.id === c.id);
  if (!part) throw new Error(`no part "${c.id}"`);
  return { kind: "mass", what: part.key, key: c.material, massG: part.massG };
}

/** All that one knife takes: stock with room to saw, rods, hardware, glue as it is mixed. */
export function billOfMaterials(design: Design, report: MassReport): MaterialLine[] {
  const through = new Map(pinLayout(design).map((p) => [p.id, p.throughMm]));
  const glue = gluePlan(design, through);
  const glueG = glue.partA.g + glue.partB.g;
  const { kerfMm } = design.workshop.saw;
  return [
    ...(design.blade.measured ? [{ kind: "hardware", key: "each:blade", count: 1 } as const] : []),
    ...cutList(design).map((c) => pieceLine(c, kerfMm, report)),
    ...looseParts(design, report),
    ...rodList(design).map(
      (r): MaterialLine => ({
        kind: "rod",
        what: r.kind === "patterned-rod" ? r.kind : "rods",
        key: r.material,
        count: r.count,
        diameterMm: r.diameterMm,
        lengthMm: r.lengthMm,
      }),
    ),
    ...hardware(design),
    ...(glueG > 0 ? [{ kind: "mass" as const, what: "glue" as const, key: "epoxy", massG: glueG }] : []),
  ];
}
