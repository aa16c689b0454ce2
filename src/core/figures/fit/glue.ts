import { INSIDE_MM } from "../../base/tolerances";
import { kindOf } from "../../kinds/fasteners/registry";
import { fittingsOn } from "../../kinds/guardFittings/registry";
import { assemble } from "../../knife/assembly/assemble";
import type { GluedAreas } from "../../knife/constructions/handles/kind";
import { handleModule } from "../../knife/constructions/handles/registry";
import { tangModule } from "../../knife/constructions/tangs/registry";
import { materialsIn } from "../../knife/design/materials";
import type { Design, Guard } from "../../knife/design/schema";
import { guardWidthAt } from "../../knife/layout/guard";
import { layoutOf } from "../../knife/layout/layout";
import type { Assembly, Part } from "../../knife/parts/types";
import { sectionArea } from "../../knife/shapes/areas";
import { COLDEST_C, type Measure, twoParts } from "../../materials/twoPart";
import type { MaterialOf } from "../../materials/types";
import { isOily } from "../../materials/working";
import { momentsOf } from "../weigh/momentsOf";
import { isDry } from "./dry";

/** Volume of adhesive that one kind of joint takes, mm³. */
export interface GlueJoint {
  readonly joint: "holes" | "faces" | "segments" | "plates" | "pieces" | "pins";
  readonly volumeMm3: number;
}

export interface GluePlan {
  readonly joints: readonly GlueJoint[];
  readonly netMm3: number;
  /** With what is wasted in the cup, on the stick and squeezed out. */
  readonly mixMm3: number;
  readonly partA: Measure;
  readonly partB: Measure;
  /** Pieces that have to be put together before the glue sets. */
  readonly parts: number;
  readonly assemblyMin: number;
  /** At the shop's temperature. */
  readonly potLifeMin: number;
  readonly cureH: number;
  /** The shop is too cold for it to set: what is glued cures where it is warm. */
  readonly curesIndoors: boolean;
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

/** Areas that are glued face to face, mm², by the kind of joint; nothing of what screws hold together dry. */
function gluedAreas(design: Design): Readonly<GluedAreas> {
  const areas = { faces: 0, segments: 0, plates: 0, pieces: 0 };
  if (isDry(design)) return areas;
  const { handle, guard, tang } = design;
  const layout = layoutOf(design);
  const { body, frontX } = layout;
  if (guard && !guard.mesh && tang.kind !== "full") {
    // Between its plates, and behind them to the handle's front, all but where the tang goes through.
    const { highY, lowY, halfMm } = layout.tangAt(0);
    const hole = 2 * halfMm * (highY - lowY);
    const face = areaOfFace(guard) - hole;
    areas.plates += (guard.plates.length - 1) * Math.max(0, face);
    areas.plates += Math.max(0, sectionArea(body, frontX - INSIDE_MM) - hole);
  }
  handleModule(handle).glue(handle, layout, areas);
  return areas;
}

/** Area of a guard's face from the front, mm². */
function areaOfFace(guard: Guard): number {
  const n = 200;
  const step = (guard.aboveMm + guard.belowMm) / n;
  let area = 0;
  for (let i = 0; i < n; i++) area += step * guardWidthAt(guard, -guard.belowMm + (i + 0.5) * step);
  return area;
}

/** Everything that is put together while the glue is wet. */
function partsOf({ handle, guard, tang, fasteners }: Design): number {
  const plates = guard ? (guard.mesh ? 1 : guard.plates.length) + fittingsOn(guard).length : 0;
  return (
    fasteners.length + plates + tangModule(tang).gluedParts(tang) + handleModule(handle).gluedParts(handle)
  );
}

/** How long glue lasts in the cup, and how long what is glued has to rest, at the shop's temperature. */
export type GlueTimes = Pick<GluePlan, "parts" | "assemblyMin" | "potLifeMin" | "cureH" | "curesIndoors">;

export function glueTimes(design: Design): GlueTimes {
  const { glue, shopC } = design.workshop;
  const parts = partsOf(design);
  const rate = settingRate(shopC, glue.atC);
  const curesIndoors = shopC < COLDEST_C;
  return {
    parts,
    assemblyMin: parts * glue.minutesAPart,
    potLifeMin: glue.potLifeMin / rate,
    // A long time in the cold is no cure: it is carried to where the label holds.
    cureH: Math.max(glue.leastCureH, curesIndoors ? glue.cureH : glue.cureH / rate),
    curesIndoors,
  };
}

/**
 * What to mix: fills of holes as they are weighed, and glue lines between scales, liners and tang, between segments,
 * between a guard's plates and behind them, between pieces, and round pins. What screws hold together dry takes none.
 * Volumes in mm³ (1 ml is 1,000), masses in g.
 */
export function gluePlan(design: Design, throughMm: ReadonlyMap<string, number>): GluePlan {
  const { glue } = design.workshop;
  const materialOf = materialsIn(design);
  const assembly = assemble(design);
  const glued = design.fasteners.filter((f) => kindOf(f).glued);
  const pins = glued.reduce(
    (s, f) => s + roundPin(f.diameterMm, kindOf(f).lengthMm(f) ?? throughMm.get(f.id) ?? 0, glue.lineMm),
    0,
  );
  const areas = gluedAreas(design);
  const list: GlueJoint[] = [
    { joint: "holes", volumeMm3: glueVolume(assembly, materialOf) },
    { joint: "faces", volumeMm3: areas.faces * glue.lineMm },
    { joint: "segments", volumeMm3: areas.segments * glue.lineMm },
    { joint: "plates", volumeMm3: areas.plates * glue.lineMm },
    { joint: "pieces", volumeMm3: areas.pieces * glue.lineMm },
    { joint: "pins", volumeMm3: isDry(design) ? 0 : pins },
  ].filter((j): j is GlueJoint => j.volumeMm3 > 0);
  const netMm3 = list.reduce((s, j) => s + j.volumeMm3, 0);
  const mixMm3 = netMm3 * (1 + glue.wasteShare);
  const made = [
    ...new Set(
      assembly.parts.filter((p) => p.group !== "blade").flatMap((p) => p.materials.map((m) => m.materialId)),
    ),
  ];
  const touched = netMm3 > 0 ? made : [];
  return {
    joints: list,
    netMm3,
    mixMm3,
    ...twoParts(mixMm3, { ...glue, by: "volume" }),
    ...glueTimes(design),
    // What nothing is glued to is neither wiped nor roughened.
    oily: touched.filter((id) => {
      const found = materialOf(id);
      return found !== undefined && isOily(found);
    }),
    metals: touched.filter((id) => materialOf(id)?.class === "metal"),
  };
}

/** Volume of the parts that are nothing but glue, mm³; weighed only where there are any. */
function glueVolume(assembly: Assembly, materialOf: MaterialOf): number {
  const isGlue = ({ group, materials }: Part) =>
    group !== "fasteners" &&
    materials.length > 0 &&
    materials.every((m) => materialOf(m.materialId)?.class === "adhesive");
  if (!assembly.parts.some(isGlue)) return 0;
  const moments = momentsOf(assembly);
  return assembly.parts.reduce((sum, part, i) => sum + (isGlue(part) ? moments[i].v : 0), 0);
}
