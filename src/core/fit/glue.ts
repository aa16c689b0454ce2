import { assemble } from "../assembly/assemble";
import type { Assembly, Part } from "../assembly/types";
import type { Design } from "../design/schema";
import { kindOf } from "../fasteners/registry";
import { layoutOf } from "../layout/layout";
import { materialById } from "../stock/materials";
import { isOily } from "../stock/working";
import { DEFAULT_FINENESS, integrate } from "../weigh/integrate";

/** Volume of adhesive that one kind of joint takes, mm³. */
export interface GlueJoint {
  readonly joint: "holes" | "faces" | "pins" | "pieces";
  readonly volumeMm3: number;
}

export interface GluePlan {
  readonly joints: readonly GlueJoint[];
  readonly netMm3: number;
  /** With what is wasted in the cup, on the stick and squeezed out. */
  readonly mixMm3: number;
  readonly partA: { readonly ml: number; readonly g: number };
  readonly partB: { readonly ml: number; readonly g: number };
  /** Pieces that have to be put together before the glue sets. */
  readonly parts: number;
  readonly assemblyMin: number;
  /** At the shop's temperature. */
  readonly potLifeMin: number;
  readonly cureH: number;
  /** Materials that are wiped with solvent just before gluing, and metals that are roughened and degreased. */
  readonly oily: readonly string[];
  readonly metals: readonly string[];
}

/** How many times as fast it sets at one temperature as at another: twice for 10 °C. Rule of thumb, from memory. */
export function settingRate(atC: number, referenceC: number): number {
  return 2 ** ((atC - referenceC) / 10);
}

/** A tube of adhesive round a pin, mm³. */
function roundPin(diameterMm: number, lengthMm: number, lineMm: number): number {
  return (Math.PI / 4) * ((diameterMm + 2 * lineMm) ** 2 - diameterMm ** 2) * lengthMm;
}

/** Area that an outline encloses, mm². */
function areaOf(design: Design): number {
  const { outline } = layoutOf(design);
  const [x0, x1] = outline.xRange;
  const n = 200;
  let area = 0;
  for (let i = 0; i < n; i++) {
    const ys = outline.cut(x0 + ((x1 - x0) * (i + 0.5)) / n);
    for (let k = 0; k + 1 < ys.length; k += 2) area += ((ys[k + 1] - ys[k]) * (x1 - x0)) / n;
  }
  return area;
}

/**
 * What to mix: fills of holes as they are weighed, and glue lines between scales, liners and tang, between pieces, and
 * round pins. Volumes in mm³ (1 ml is 1,000), masses in g.
 */
export function gluePlan(design: Design, throughMm: ReadonlyMap<string, number>): GluePlan {
  const { fitUp, handle, tang } = design;
  const { glue } = fitUp;
  const assembly = assemble(design);
  const holes = glueVolume(assembly);
  const faces = handle.kind === "scales" ? 2 * (handle.liners.length + 1) * areaOf(design) * glue.lineMm : 0;
  const glued = design.fasteners.filter((f) => kindOf(f).glued);
  const pins = glued.reduce(
    (s, f) => s + roundPin(f.diameterMm, kindOf(f).lengthMm(f) ?? throughMm.get(f.id) ?? 0, glue.lineMm),
    0,
  );
  const joints = handle.kind === "stack" ? handle.pieces.length - 1 + (design.guard ? 1 : 0) : 0;
  const section = handle.kind === "stack" ? sectionArea(design) : 0;
  const list: GlueJoint[] = [
    { joint: "holes", volumeMm3: holes },
    { joint: "faces", volumeMm3: faces },
    { joint: "pieces", volumeMm3: joints * section * glue.lineMm },
    { joint: "pins", volumeMm3: pins },
  ].filter((j): j is GlueJoint => j.volumeMm3 > 0);
  const netMm3 = list.reduce((s, j) => s + j.volumeMm3, 0);
  const mixMm3 = netMm3 * (1 + glue.wasteShare);
  const mlA = (mixMm3 / 1000) * (glue.ratio / (1 + glue.ratio));
  const mlB = mixMm3 / 1000 - mlA;
  const parts =
    design.fasteners.length +
    (handle.kind === "scales"
      ? 2 * (1 + handle.liners.length + handle.joints.length) +
        (handle.bolsters.front ? 2 : 0) +
        (handle.bolsters.rear ? 2 : 0)
      : handle.pieces.length) +
    (tang.kind === "framed" ? 1 : 0);
  const rate = settingRate(glue.shopC, glue.atC);
  const made = [
    ...new Set(
      assembly.parts.filter((p) => p.group !== "blade").flatMap((p) => p.materials.map((m) => m.materialId)),
    ),
  ];
  return {
    joints: list,
    netMm3,
    mixMm3,
    partA: { ml: mlA, g: mlA * glue.densityA },
    partB: { ml: mlB, g: mlB * glue.densityB },
    parts,
    assemblyMin: parts * glue.minutesAPart,
    potLifeMin: glue.potLifeMin / rate,
    // A day before grinding, whatever the label says. Common practice, no source.
    cureH: Math.max(24, glue.cureH / rate),
    oily: made.filter(isOily),
    metals: made.filter((id) => materialById(id)?.class === "metal"),
  };
}

/** Volume of the parts that are nothing but glue, mm³; weighed only where there are any. */
function glueVolume(assembly: Assembly): number {
  const isGlue = ({ group, materials }: Part) =>
    group !== "fasteners" &&
    materials.length > 0 &&
    materials.every((m) => materialById(m.materialId)?.class === "adhesive");
  if (!assembly.parts.some(isGlue)) return 0;
  const moments = integrate(assembly, DEFAULT_FINENESS, isGlue);
  return assembly.parts.reduce((sum, part, i) => sum + (isGlue(part) ? moments[i].v : 0), 0);
}

/** Mean area of the handle's cross-section, an ellipse of its height and thickness, mm². */
function sectionArea(design: Design): number {
  const { plan } = design.handle;
  const thick = plan.reduce((s, p) => s + p.halfMm + (p.leftHalfMm ?? p.halfMm), 0) / plan.length;
  const { outline } = layoutOf(design);
  const length = outline.xRange[1] - outline.xRange[0];
  return length > 0 ? (Math.PI / 4) * thick * (areaOf(design) / length) : 0;
}
