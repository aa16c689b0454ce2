import { byKind } from "../../base/record/byKind";
import { INSIDE_MM } from "../../base/tolerances";
import { type Contour, insideBy } from "../../geometry/curve/contour";
import { polyline } from "../../geometry/curve/crossing";
import { lineAt } from "../../geometry/solids/line";
import type { Region } from "../../geometry/solids/region";
import { kindOf } from "../../kinds/fasteners/registry";
import { fittingsOn } from "../../kinds/guardFittings/registry";
import { assemble } from "../../knife/assembly/assemble";
import type { Assembly, Part } from "../../knife/assembly/types";
import { materialsIn } from "../../knife/design/materials";
import type { Design, Guard, ScalesHandle, StackHandle } from "../../knife/design/schema";
import { guardWidthAt } from "../../knife/layout/guard";
import { type Layout, layoutOf } from "../../knife/layout/layout";
import { lengthwiseOutlines } from "../../knife/layout/lengthwise";
import { linersThickness } from "../../knife/layout/scales";
import { type Measure, twoParts } from "../../materials/twoPart";
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

/** Area from the side between two stations, mm². */
function areaBetween(outline: Contour, from: number, to: number): number {
  const [x0, x1] = [Math.max(from, outline.xRange[0]), Math.min(to, outline.xRange[1])];
  if (!(x1 > x0)) return 0;
  const n = 200;
  let area = 0;
  for (let i = 0; i < n; i++) {
    const ys = outline.cut(x0 + ((x1 - x0) * (i + 0.5)) / n);
    for (let k = 0; k + 1 < ys.length; k += 2) area += ((ys[k + 1] - ys[k]) * (x1 - x0)) / n;
  }
  return area;
}

/** Rows that a cross-section's area is summed over. */
const ROWS = 80;

/** Area of a body's cross-section at a station, mm²; what lies within `insideMm` of the middle plane left out. */
function sectionAt(body: Region, x: number, insideMm = 0): number {
  const slice = body.sliceAt(x);
  let area = 0;
  for (let k = 0; slice?.ys && k + 1 < slice.ys.length; k += 2) {
    const step = (slice.ys[k + 1] - slice.ys[k]) / ROWS;
    for (let i = 0; i < ROWS; i++) {
      const y = slice.ys[k] + (i + 0.5) * step;
      area += step * (Math.max(0, slice.high(y) - insideMm) + Math.max(0, -slice.low(y) - insideMm));
    }
  }
  return area;
}

/** Areas that are glued face to face, mm², by the kind of joint; nothing of what screws hold together dry. */
function gluedAreas(design: Design): Readonly<Record<"faces" | "segments" | "plates" | "pieces", number>> {
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
    areas.plates += Math.max(0, sectionAt(body, frontX - INSIDE_MM) - hole);
  }
  byKind(handle, {
    bare: () => undefined,
    scales: (scales) => addScaleFaces(areas, scales, layout),
    stack: (stack) => addPieceFaces(areas, stack, design, layout),
  });
  return areas;
}

type Areas = Record<"faces" | "segments" | "plates" | "pieces", number>;

/** Faces of scales, liners and bolsters on the tang, and the joints between segments. */
function addScaleFaces(areas: Areas, handle: ScalesHandle, layout: Layout): void {
  const { outline, body, span, tangFace } = layout;
  const { front, rear } = handle.bolsters;
  const bolsters =
    (front ? areaBetween(outline, span[1] - front.lengthMm, span[1]) : 0) +
    (rear ? areaBetween(outline, span[0], span[0] + rear.lengthMm) : 0);
  const scales = areaBetween(outline, span[0], span[1]) - bolsters;
  // Bolsters lie on the tang itself, scales on the liners.
  areas.faces += 2 * (bolsters + scales * (handle.liners.length + 1));
  const liners = linersThickness(handle);
  const joint = (x: number) => sectionAt(body, x, lineAt(tangFace, x) + liners);
  for (const j of handle.joints) areas.segments += (1 + j.dividers.length) * joint(j.xMm);
  areas.segments += lengthwiseArea(handle, layout, liners);
  if (front) areas.segments += joint(span[1] - front.lengthMm);
  if (rear) areas.segments += joint(span[0] + rear.lengthMm);
}

/** Faces between pieces, all but where the tang goes through. */
function addPieceFaces(areas: Areas, handle: StackHandle, { tang }: Design, layout: Layout): void {
  areas.pieces += lengthwiseArea(handle, layout);
  const stations = layout.pieces;
  for (let i = 1; i < stations.length; i++) {
    const x = stations[i][1];
    const { highY, lowY, halfMm } = layout.tangAt(x);
    const hole = tang.kind === "hidden" && x > -tang.lengthMm ? 2 * halfMm * (highY - lowY) : 0;
    areas.pieces += Math.max(0, sectionAt(layout.body, x) - hole);
  }
}

/** Chords that a joint along the handle is measured by. */
const CHORDS = 60;

/** Area that is glued along the handle on both sides, mm²: of a sheet in the joint both faces. */
function lengthwiseArea(
  { lengthwise }: ScalesHandle | StackHandle,
  { surfaceAt, tangAt, outline }: Layout,
  liners = 0,
): number {
  if (!lengthwise) return 0;
  const points = polyline(lengthwiseOutlines(lengthwise).curve, CHORDS);
  let area = 0;
  for (let i = 0; i + 1 < points.length; i++) {
    const [p, q] = [points[i], points[i + 1]];
    const [x, y] = [(p.x + q.x) / 2, (p.y + q.y) / 2];
    if (!(insideBy(outline, x, y) > 0)) continue;
    const { highY, lowY, halfMm } = tangAt(x);
    const inside = (y > lowY && y < highY ? halfMm : 0) + liners;
    for (const side of ["right", "left"] as const)
      area += Math.max(0, surfaceAt(x, y, side) - inside) * Math.hypot(q.x - p.x, q.y - p.y);
  }
  return area * (lengthwise.divider ? 2 : 1);
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
  const inPlane = tang.kind === "framed" || (tang.kind === "full" && tang.short) ? 1 : 0;
  const onSides = byKind<typeof handle, number>(handle, {
    bare: () => 0,
    scales: ({ liners, joints, halves, bolsters }) =>
      2 *
      (1 +
        liners.length +
        joints.length +
        joints.reduce((sum, j) => sum + j.dividers.length, 0) +
        halves.length +
        (bolsters.front ? 1 : 0) +
        (bolsters.rear ? 1 : 0)),
    stack: ({ pieces, rings }) => pieces.length + rings.length,
  });
  return fasteners.length + plates + inPlane + onSides;
}

/**
 * What to mix: fills of holes as they are weighed, and glue lines between scales, liners and tang, between segments,
 * between a guard's plates and behind them, between pieces, and round pins. What screws hold together dry takes none.
 * Volumes in mm³ (1 ml is 1,000), masses in g.
 */
export function gluePlan(design: Design, throughMm: ReadonlyMap<string, number>): GluePlan {
  const { glue, shopC } = design.workshop;
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
  const parts = partsOf(design);
  const rate = settingRate(shopC, glue.atC);
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
    parts,
    assemblyMin: parts * glue.minutesAPart,
    potLifeMin: glue.potLifeMin / rate,
    // A day before grinding, whatever the label says. Common practice, no source.
    cureH: Math.max(24, glue.cureH / rate),
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
