import { printLength, printLengthBare, printMass, type UnitSystem } from "@/core/base/units/print";
import type { Hole } from "@/core/figures/fit/holes";
import type { MEDIA } from "@/core/plan/attempts";
import { isUsual, type Recipe } from "@/core/plan/recipes";
import type { FigureLength, InspectionLimit, TaskFigure } from "@/core/plan/taskFigures";
import type { ToolCode } from "@/core/plan/tools";
import { itemWords } from "./fasteners";
import { ownerWords } from "./fit";
import { heatWords } from "./heatWords";
import { printMinutes } from "./money";
import { cutName, partName } from "./parts";

const LENGTH_WORDS: Readonly<Record<FigureLength, string>> = {
  "blade-length": "Length of the blade",
  "bar-thickness": "Thickness of the bar",
  edge: "Edge before it is sharpened",
  "edge-to-leave": "Leave at the edge before the quench",
  plunge: "Grinding begins ahead of the datum",
  "butt-thickness": "Thickness at the end of the tang",
  "tang-length": "Length of the tang",
  "front-bevel": "Front bevel, as cut on the stock",
  "proud-each-side": "Leave proud on each side",
  "groove-depth": "Depth of a groove",
  "spacer-cut": "Cut the spacer to",
};

const LIMIT_WORDS: Readonly<Record<InspectionLimit, string>> = {
  "pins-slide": "Every pin slides through dry, by hand",
  "burrs-off": "No burr on either face",
  "file-skates": "A new file skates on the edge and does not bite",
  straight: "Bent by no more than",
  "guard-gap": "No gap at the seat wider than",
  "guard-square": "Square to the blade from the side and from above, the blade in line",
  "faces-level": "Front faces of left and right level within",
  "sides-marked": "Left and right, inside and front are marked",
  "in-line": "Blade, guard and handle in one line, from the side and from above, within the pot life",
  "squeeze-out-off": "Ricasso, guard and front faces are clean",
  "edge-blue": "No blue, purple or black nearer to the edge than",
};

const MEDIUM_WORDS: Readonly<Record<(typeof MEDIA)[number], string>> = {
  "fast-oil": "fast oil",
  "medium-oil": "medium oil",
  "warm-oil": "warm oil",
  canola: "canola oil",
  water: "water",
  brine: "brine",
  plates: "between plates",
  air: "still air",
};
export const mediumWords = (medium: (typeof MEDIA)[number]): string => MEDIUM_WORDS[medium];

const BATH_WORDS = {
  current:
    "Blade to plus, 12 V, about 2 A; bursts of 20 s with short pauses, a dip in water after each minute, 3 to 4 min in all; the back masked, marks to register both sides",
  acid: "Clean first. Ferric chloride 10 to 20 min, lifted and rubbed with 1200 grit between; then into soda, rinse, oil",
  vinegar: "Hot vinegar until it is grey, 5 to 25 min; then into soda, rinse, oil",
  tumbler: "5 to 15 min in the media, after the etch",
} as const;

export const TOOL_WORDS: Readonly<Record<ToolCode, string>> = {
  abrasives: "abrasive paper",
  acid: "acid bath",
  anvil: "anvil or block",
  "backing-board": "backing board, moved to fresh wood for each hole",
  "balance-edge": "edge to balance on",
  broach: "broach",
  buff: "buffing wheel",
  calipers: "calipers",
  chisel: "thin chisel",
  clamps: "clamps",
  "cold-box": "dry ice or freezer",
  counterbore: "counterbore",
  countersink: "countersink",
  deburrer: "deburring tool",
  die: "die",
  "drill-press": "drill press",
  etcher: "etching supply",
  feeler: "feeler gauge",
  files: "files",
  "flat-plate": "flat plate",
  gloves: "gloves",
  glue: "glue",
  grinder: "grinder",
  hammer: "hammer",
  "heat-source": "torch, forge or oven",
  jig: "drilling jig",
  knife: "knife",
  marker: "marker",
  mill: "mill",
  "new-file": "new file",
  oil: "oil or wax",
  oven: "oven",
  pins: "pins",
  "quench-tank": "quench tank with a lid, or plates",
  "sanding-block": "sanding block",
  saw: "saw",
  scale: "scale",
  screwdriver: "screwdriver or key",
  soda: "soda",
  solder: "solder and flux",
  solvent: "solvent",
  soot: "soot or marker for the seat",
  spanner: "spanner",
  square: "square",
  stamp: "stamp",
  stencil: "stencil",
  stones: "stones or belts",
  "straight-edge": "straight edge",
  strop: "strop",
  tap: "tap",
  tape: "tape",
  thermometer: "second thermometer",
  tongs: "tongs",
  torch: "torch",
  tumbler: "tumbler",
  vinegar: "vinegar",
  vise: "vise",
  water: "water at hand",
  welder: "welder",
  "wet-rag": "wet rag or sand for the edge",
  "wood-ash": "warm wood ash",
};

/** What a recipe says of one step. */
export function recipeWords(recipe: Recipe, step: "normalise" | "harden" | "cold" | "temper"): string {
  const { normalise, hardenC, soakMin, medium, coldC, temper, temperHours, temperCycles } = recipe;
  const from = isUsual(recipe) ? "From memory: the mill's sheet decides." : `Your recipe: ${recipe.name}.`;
  switch (step) {
    case "normalise":
      return normalise
        ? `${normalise.cycles} times from ${heatWords(normalise.atC)}, cooled in still air. ${from}`
        : from;
    case "harden":
      return `${Math.round(hardenC.low).toLocaleString("en")} to ${heatWords(hardenC.high)}, soak ${soakMin} min, then ${MEDIUM_WORDS[medium]}. ${recipe.note} ${from}`;
    case "cold":
      return coldC === null
        ? from
        : `${heatWords(coldC)}, overnight; then the temper within two hours of its end. ${from}`;
    case "temper": {
      const list = temper.map((t) => `${heatWords(t.atC)}${t.hrc === null ? "" : ` for about ${t.hrc} HRC`}`);
      return `${temperCycles} times ${temperHours} h, cooled fully between: ${list.join("; ")}. ${from}`;
    }
  }
}

/** A hole: "Pin 1: 4.0 mm drill at −32.0, 1.5 mm, right through". */
function holeWords(h: Hole, units: UnitSystem): string {
  const mm = (value: number) => printLength(value, units, 2);
  const drill = h.drill ? `${h.drill.name} drill` : `${mm(h.drilledMm)} drill`;
  const depth =
    h.depthMm === null ? "right through" : `${mm(h.depthMm)} deep from the ${h.from ?? "outside"}`;
  const thread = h.thread ? `, tap ${h.thread}` : "";
  return `${ownerWords([h.owner])}: ${drill}${thread} at ${printLengthBare(h.xMm, units, 2)}, ${mm(h.yMm)}, ${depth}`;
}

/** A figure of a task in words, in the maker's units; null of what another row says. */
export function figureWords(
  figure: TaskFigure,
  units: UnitSystem,
  weight: { massG: number; balance: string },
): string {
  const mm = (value: number, digits = 2) => printLength(value, units, digits);
  const bare = (value: number) => printLengthBare(value, units, 1);
  switch (figure.kind) {
    case "length":
      return `${LENGTH_WORDS[figure.of]}: ${mm(figure.mm)}`;
    case "piece": {
      const { key, sawnMm, finishedMm, count, discs } = figure.piece;
      const saw = `${bare(sawnMm.lengthMm)} × ${bare(sawnMm.heightMm)} × ${mm(sawnMm.thicknessMm, 1)}`;
      const many = count > 1 ? `${count} of ` : "";
      const finished = `${bare(finishedMm.lengthMm)} × ${bare(finishedMm.heightMm)} × ${mm(finishedMm.thicknessMm, 1)}`;
      return `${cutName(key)}: ${many}${saw}, finished ${finished}${discs ? `, of ${discs.count} discs` : ""}`;
    }
    case "hole":
      return holeWords(figure.hole, units);
    case "drill": {
      const { owners, drill, wantedMm, thread } = figure.row;
      return `${ownerWords(owners)}: ${drill ? `${drill.name} drill` : mm(wantedMm)}${thread ? `, tap ${thread}` : ""}`;
    }
    case "pin": {
      const { name, diameterMm, behindMm, aboveAxisMm } = figure.pin;
      return `${itemWords(name)}: ${mm(diameterMm)} at ${bare(behindMm)} behind the front, ${mm(aboveAxisMm)} over the axis`;
    }
    case "seat": {
      const { name, counterboreMm, depthFromStockMm, key, screwLengthMm } = figure.seat;
      const depth = `${bare(depthFromStockMm[0])} (right), ${mm(depthFromStockMm[1])} (left) deep from the stock's face`;
      return `${itemWords(name)}: counterbore ${mm(counterboreMm)}, ${depth}; screw ${mm(screwLengthMm, 1)}${key ? `, key ${key}` : ""}`;
    }
    case "slot": {
      const { heightMm, thicknessMm, yMm, mill } = figure.slot;
      const size = `Slot ${bare(heightMm)} × ${mm(thicknessMm)}, its middle ${mm(yMm)} over the axis`;
      return mill
        ? `${size}; ${mm(mill.cutterMm)} cutter, ${mm(mill.offsetMm)} to each side, ${mm(mill.travelMm)} of travel; then a file-stroke tight`
        : `${size}; chain-drilled and filed`;
    }
    case "opening": {
      const { key, front, rear, number } = figure.opening;
      const one = (o: typeof front | null) =>
        o === null
          ? "closed"
          : o.roundMm === null
            ? `${bare(o.heightMm)} × ${mm(o.thicknessMm)}`
            : `${mm(o.roundMm)} round`;
      return `${partName(key)}, opening ${number}: front ${one(front)}, rear ${one(rear)}`;
    }
    case "glue": {
      const { partA, partB, potLifeMin, parts, cureH } = figure.glue;
      return `Part A ${partA.ml.toFixed(1)} ml (${partA.g.toFixed(1)} g), part B ${partB.ml.toFixed(1)} ml (${partB.g.toFixed(1)} g); ${parts} pieces within ${printMinutes(potLifeMin)}; cures ${Math.round(cureH)} h`;
    }
    case "scribe": {
      const { scribedMm } = figure.aids;
      return `Scribe ${scribedMm.map((h) => mm(h)).join(" and ")} over a flat that the blade lies on`;
    }
    case "recipe":
      return recipeWords(figure.recipe, figure.step);
    case "grits":
      return `Grits ${figure.grits.join(" → ")}, the direction crossed at each`;
    case "bath":
      return BATH_WORDS[figure.of];
    case "angle":
      return figure.of === "sharpened"
        ? `${figure.deg.toFixed(0)}° a side; a burr along the whole edge, then off on the strop`
        : `Bevel ${figure.deg.toFixed(1)}° a side`;
    case "limit":
      return figure.mm === null ? LIMIT_WORDS[figure.of] : `${LIMIT_WORDS[figure.of]} ${mm(figure.mm)}`;
    case "edge-back":
      return `Grind the edge back to ${mm(figure.edgeMm)}: ${mm(figure.heightMm, 1)} of height and ${printMass(figure.massG, units, 1)} are lost`;
    case "weight":
      return `Worked out: ${printMass(weight.massG, units, 1)}, ${weight.balance}`;
  }
}
