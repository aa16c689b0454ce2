import { cutList } from "../figures/fit/stockList";
import { sectionOutline } from "../figures/pieces/frontOutline";
import { pieceList } from "../figures/pieces/pieceList";
import { solidsOf } from "../figures/pieces/undrilled";
import { momentsOf } from "../figures/weigh/momentsOf";
import type { Interval, MassReport } from "../figures/weigh/report";
import { materialsIn } from "../knife/design/materials";
import type { Design } from "../knife/design/schema";
import { layoutOf } from "../knife/layout/layout";
import type { SizePlace, Stage } from "./types";

/** What a knife should weigh, and where it should balance, at a stage. */
export interface Prediction {
  readonly massG: number;
  readonly massIntervalG: Interval;
  readonly balanceMm: number;
  readonly balanceIntervalMm: Interval;
}

/** How far off what is still to be shaped may be, as a share of it: a sawn piece is as long as the saw went. */
const ROUGH_SHARE = 0.1;

/**
 * What a knife that was weighed as it is drawn weighs at a stage; null of a stage that it does not come to. Shaped and
 * finished it is as it is drawn. At the dry fit there is no glue in it, and sawn pieces of the handle are blocks still, with
 * room to shape all round, but bored: their weight is taken at the middle of what becomes of them.
 */
export function predictedAt(design: Design, report: MassReport, stage: Stage): Prediction | null {
  if (design.handle.kind === "bare" && stage !== "finished") return null;
  const { massG, balanceMm, massIntervalG, balanceIntervalMm, parts } = report;
  if (stage !== "dry-fit") return { massG, massIntervalG, balanceMm, balanceIntervalMm };
  const materialOf = materialsIn(design);
  let mass = massG;
  let moment = massG * balanceMm;
  let rough = 0;
  const add = (g: number, xMm: number) => {
    mass += g;
    moment += g * xMm;
  };
  for (const p of parts)
    if (p.group !== "fasteners" && p.material.split("+").every((m) => materialOf(m)?.class === "adhesive"))
      add(-p.massG, p.centreMm[0]);
  for (const { g, xMm } of roughPieces(design, report)) {
    add(g, xMm);
    rough += g;
  }
  const x = mass > 0 ? moment / mass : balanceMm;
  const off = ROUGH_SHARE * rough;
  const widened = ([low, high]: Interval, at: number, from: number, by: number): Interval => [
    at - (from - low) - by,
    at + (high - from) + by,
  ];
  // A gram more or less moves the balance by its arm over the whole weight: as far as from there to the handle's butt at most.
  const arm = Math.abs(x - layoutOf(design).buttX);
  return {
    massG: mass,
    massIntervalG: widened(massIntervalG, mass, massG, off),
    balanceMm: x,
    balanceIntervalMm: widened(balanceIntervalMm, x, balanceMm, (off * arm) / Math.max(mass, 1)),
  };
}

/** What sawn pieces of the handle have more than they will have, g, and where that lies. */
function roughPieces(design: Design, report: MassReport): { readonly g: number; readonly xMm: number }[] {
  const { kerfMm } = design.workshop.saw;
  const solid = solidsOf(design);
  const volumes = momentsOf(solid);
  const partsOf = new Map(pieceList(design).map((p) => [p.id, p.parts]));
  const byId = new Map(report.parts.map((p) => [p.id, p]));
  return cutList(design).flatMap(({ key, id, made, count, finishedMm, sawnMm }) => {
    if (made !== "sawn" || key.kind === "blade" || key.kind === "guard" || key.kind === "fitting") return [];
    const ids = partsOf.get(id) ?? [];
    const own = ids.flatMap((p) => byId.get(p) ?? []);
    const volume = own.reduce((sum, p) => sum + p.volumeMm3, 0);
    const massG = own.reduce((sum, p) => sum + p.massG, 0);
    if (volume <= 0) return [];
    const solidMm3 = solid.parts.reduce((sum, p, i) => sum + (ids.includes(p.id) ? volumes[i].v : 0), 0);
    // Where there is room to shape the saw has taken its kerf already.
    const sides = (["lengthMm", "heightMm", "thicknessMm"] as const).map((s) =>
      sawnMm[s] > finishedMm[s] + kerfMm ? sawnMm[s] - kerfMm : finishedMm[s],
    );
    const block = count * sides.reduce((a, b) => a * b, 1);
    const g = (Math.max(0, block - solidMm3) * massG) / volume;
    const xMm = own.reduce((sum, p) => sum + p.massG * p.centreMm[0], 0) / massG;
    return [{ g, xMm }];
  });
}

/** Stations along the handle at which its size is taken, as shares of its length from the front. */
const ALONG = { front: 0.1, middle: 0.5, rear: 0.9 } as const;

/** Sizes as they are drawn, mm, of what there is. */
export function drawnSizes(design: Design): ReadonlyMap<SizePlace, number> {
  const sizes = new Map<SizePlace, number>();
  const { blade, handle, guard } = design;
  const layout = layoutOf(design);
  sizes.set("overall-length", blade.lengthMm - layout.buttX);
  sizes.set("blade-length", blade.lengthMm);
  sizes.set("blade-thickness", blade.spineMm);
  if (guard && !guard.mesh) {
    sizes.set("guard-height", guard.aboveMm + guard.belowMm);
    sizes.set(
      "guard-thickness",
      guard.plates.reduce((sum, p) => sum + p.thicknessMm, 0),
    );
  }
  if (handle.kind === "bare") return sizes;
  sizes.set("handle-length", layout.frontX - layout.buttX);
  for (const [at, share] of Object.entries(ALONG) as [keyof typeof ALONG, number][]) {
    const x = layout.frontX + share * (layout.buttX - layout.frontX);
    const points = sectionOutline([layout.body], x).flat();
    if (points.length === 0) continue;
    const across = points.map((p) => p.x);
    const up = points.map((p) => p.y);
    sizes.set(`handle-thickness-${at}`, Math.max(...across) - Math.min(...across));
    sizes.set(`handle-height-${at}`, Math.max(...up) - Math.min(...up));
  }
  return sizes;
}
