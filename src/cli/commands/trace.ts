import { extname } from "node:path";
import { Work } from "@/core/base/work";
import { DRAWING_ENDINGS, DRAWING_FORMATS, drawingFormatOf } from "@/core/exchange/files/drawings";
import { writeKnife } from "@/core/exchange/files/knife/write";
import { OUTLINE_ROLES } from "@/core/exchange/pattern/applyOutline";
import { shapesIn } from "@/core/exchange/pattern/found";
import { MOST_CLOSED_MM } from "@/core/exchange/pattern/gaps";
import { LONGEST_MM, SHORTEST_MM } from "@/core/exchange/pattern/sizes";
import {
  type DrawingUnit,
  likelyUnit,
  proposedAssignment,
  reachOf,
  traced,
  UNITS,
} from "@/core/exchange/pattern/trace";
import { SHEETS_OF_PAPER } from "@/core/exchange/photo/picture";
import { faultsOf } from "@/core/figures/weigh/faults";
import { LARGEST_DRAWING_BYTES } from "@/core/geometry/contours/raw";
import { refusalOf } from "@/core/knife/design/refusal";
import {
  drawingFailureWords,
  drawingWarnings,
  noOutlineWords,
  outlineFailureWords,
  reachWords,
} from "@/words/drawings";
import { UNIT_WORDS } from "@/words/patterns";
import { problemWords } from "@/words/problems";
import { command } from "../command";
import { bytesWithin, fixedIn, lengthIn, withinTime, writeTo } from "../input";
import { Refusal } from "../refusal";
import { pickedFirst, shapeSaid } from "./traced";
import { tracePhoto } from "./tracePhoto";

const PICTURES = [".jpg", ".jpeg", ".png", ".webp"];
const ROLES = [...OUTLINE_ROLES, "holes"] as const;

/** Puts an outline and the holes of a drawing onto a knife, writes that, and says what was found and used. */
export const trace = command({
  name: "trace",
  says: "brings a drawing or a photo in as a part of a knife",
  args: ["PATTERN"],
  options: {
    onto: { value: "KNIFE.json", says: "the knife that it is put onto", needed: true, unless: "list" },
    out: { value: "NEW.json", says: "where to", needed: true, unless: "list" },
    list: { value: null, says: "only tells what is in it" },
    pick: { value: "ID", says: "the outline, as --list names it; the largest where it is not given" },
    close: {
      value: "LENGTH",
      says: `of a drawing: closes gaps between its lines up to this, ${MOST_CLOSED_MM} mm at most`,
    },
    as: { value: ROLES.join("|"), says: "what it is; blank where it is not given" },
    unit: { value: Object.keys(UNITS).join("|"), says: "of a drawing; else as it says, or the likely one" },
    scale: {
      value: "x1,y1,x2,y2,MM",
      says: "of a photo: two places in its pixels, and how far apart they are",
    },
    paper: { value: Object.keys(SHEETS_OF_PAPER).join("|"), says: "of a photo: the sheet of paper in it" },
    corners: { value: "x1,y1,…,x4,y4", says: "of a photo: where that sheet's corners are" },
    shape: { value: "dark|light", says: "of a photo: the piece on its paper; dark where it is not given" },
    thickness: {
      value: "LENGTH",
      says: "of a photo: of a piece that lies on its paper, such as 4mm; 0 of what is drawn on it",
    },
    camera: {
      value: "LENGTH",
      says: "of a photo: how high the camera was over the paper, where the picture does not tell",
    },
    threshold: { value: "N", says: "of a photo: the shade between piece and paper, 0 to 255" },
  },
  run: async (input) => {
    const [path] = input.args;
    const [onto, out, role] = [input.needed("onto"), input.needed("out"), input.text("as") ?? "blank"];
    const as = ROLES.find((r) => r === role);
    if (!as) throw new Refusal(`--as is ${ROLES.join(", ")}, not "${role}"`);
    if (PICTURES.includes(extname(path).toLowerCase())) return tracePhoto(input, as);
    const given = input.text("unit");
    if (given !== undefined && !Object.hasOwn(UNITS, given))
      throw new Refusal(`--unit is ${Object.keys(UNITS).join(", ")}, not "${given}"`);
    const format = drawingFormatOf(path);
    if (!format)
      throw new Refusal(
        `a pattern is a ${DRAWING_ENDINGS.replaceAll(",", ", ")}, .jpg, .png or .webp file, not ${path}`,
      );
    const read = await DRAWING_FORMATS[format].read();
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
    const closeMm = lengthIn(input.text("close"), "--close", MOST_CLOSED_MM) ?? undefined;
    const found = withinTime(() => shapesIn(drawing, mmPerUnit, work, closeMm));
    const { shapes } = found;
    const said = {
      unit: unit ?? `${mmPerUnit} mm`,
      found: shapes.map(shapeSaid),
      doubled: found.doubled,
      joined: found.joined,
      gapMm: found.gapMm,
      passedOver: drawing.passedOver,
      unseen: drawing.unseen,
      warnings: drawingWarnings(drawing, found, given === undefined && unit ? UNIT_WORDS[unit] : null),
    };
    if (input.has("list")) return said;
    const before = (await fixedIn(onto)).design;
    const assigned = proposedAssignment(before, pickedFirst(shapes, input.text("pick")), as);
    if (!assigned) throw new Refusal(noOutlineWords(found));
    const answer = withinTime(() => traced(before, assigned));
    if (!answer.ok) throw new Refusal(outlineFailureWords(answer));
    const { design, used, largestDeviationMm } = answer;
    const refused = refusalOf(design);
    if (refused) throw new Refusal(problemWords(refused));
    await writeTo(out, writeKnife(design));
    return {
      out,
      ...said,
      used,
      largestDeviationMm,
      canBeBuilt: faultsOf(design).every((f) => f.severity !== "error"),
    };
  },
});
