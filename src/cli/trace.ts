import { extname } from "node:path";
import { LARGEST_DRAWING_BYTES } from "@/core/contours/raw";
import { refusalOf } from "@/core/design/refusal";
import { readDxf } from "@/core/files/dxf/read";
import { writeKnife } from "@/core/files/knife/write";
import { readSvg } from "@/core/files/svg/read";
import { OUTLINE_ROLES } from "@/core/pattern/applyOutline";
import { shapesIn } from "@/core/pattern/found";
import {
  type DrawingUnit,
  LONGEST_MM,
  likelyUnit,
  proposedAssignment,
  reachOf,
  SHORTEST_MM,
  traced,
  UNITS,
} from "@/core/pattern/trace";
import { faultsOf } from "@/core/weigh/faults";
import { Work } from "@/core/work";
import { drawingFailureWords, outlineFailureWords, reachWords } from "@/words/drawings";
import { bytesWithin, designIn, optionsOf, Refusal, USAGE, withinTime, writeTo } from "./input";
import { tracePhoto } from "./tracePhoto";

const READERS = new Map([
  [".dxf", readDxf],
  [".svg", readSvg],
]);
const PICTURES = [".jpg", ".jpeg", ".png", ".webp"];
const ROLES = [...OUTLINE_ROLES, "holes"] as const;

/** Puts an outline and the holes of a drawing onto a knife, writes that, and says what was found and used. */
export async function traceFile(args: readonly string[]): Promise<unknown> {
  const { path, options } = optionsOf(args, [
    "--onto",
    "--as",
    "--out",
    "--unit",
    "--scale",
    "--paper",
    "--corners",
    "--shape",
    "--threshold",
  ]);
  const [onto, out] = [options.get("--onto"), options.get("--out")];
  if (!path || !onto || !out) throw new Refusal(USAGE);
  const as = ROLES.find((r) => r === (options.get("--as") ?? "blank"));
  if (!as) throw new Refusal(`--as is ${ROLES.join(", ")}, not "${options.get("--as")}"`);
  if (PICTURES.includes(extname(path).toLowerCase())) return tracePhoto(path, options, as);
  const given = options.get("--unit");
  if (given !== undefined && !Object.hasOwn(UNITS, given))
    throw new Refusal(`--unit is ${Object.keys(UNITS).join(", ")}, not "${given}"`);
  const read = READERS.get(extname(path).toLowerCase());
  if (!read) throw new Refusal(`a pattern is a .dxf, .svg, .jpg, .png or .webp file, not ${path}`);
  const work = new Work();
  const bytes = await bytesWithin(path, LARGEST_DRAWING_BYTES);
  const reading = withinTime(() => read(bytes, work));
  if (!reading.ok) throw new Refusal(drawingFailureWords(reading));
  const { drawing } = reading;
  const unit =
    (given as DrawingUnit | undefined) ?? (drawing.mmPerUnit === null ? likelyUnit(drawing) : null);
  const mmPerUnit = unit ? UNITS[unit] : drawing.mmPerUnit!;
  const reachMm = reachOf(drawing) * mmPerUnit;
  if (!(reachMm >= SHORTEST_MM && reachMm <= LONGEST_MM))
    throw new Refusal(reachWords(reachMm, SHORTEST_MM, LONGEST_MM));
  const { shapes, doubled, joined } = withinTime(() => shapesIn(drawing, mmPerUnit, work));
  const before = await designIn(onto);
  const assigned = proposedAssignment(before, shapes, as);
  if (!assigned) {
    const open = shapes.find((s) => s.kind === "open");
    throw new Refusal(
      open
        ? `no outline closes: the ends of the longest line are ${open.gapMm.toFixed(2)} mm apart`
        : "there is no closed outline in this drawing",
    );
  }
  const answer = withinTime(() => traced(before, assigned));
  if (!answer.ok) throw new Refusal(outlineFailureWords(answer));
  const { design, used, largestDeviationMm } = answer;
  const refused = refusalOf(design);
  if (refused) throw new Refusal(`${refused.path} ${refused.message}`);
  await writeTo(out, writeKnife(design));
  return {
    out,
    unit: unit ?? `${mmPerUnit} mm`,
    found: shapes.map((s) => ({
      id: s.id,
      kind: s.kind,
      layer: s.layer,
      ...(s.kind === "outline" ? { areaMm2: s.areaMm2 } : {}),
      ...(s.kind === "circle" ? { diameterMm: 2 * s.radiusMm } : {}),
      ...(s.kind === "open" ? { gapMm: s.gapMm } : {}),
    })),
    doubled,
    joined,
    passedOver: drawing.passedOver,
    used,
    largestDeviationMm,
    canBeBuilt: faultsOf(design).every((f) => f.severity !== "error"),
  };
}
