import { printLengthPlain, type UnitSystem } from "@/core/base/units/print";
import { FILM, looseIslands, type Stencil } from "@/core/exchange/cutting/film";
import type { MarkNeighbour } from "@/core/figures/views/markRoom";
import type { BladeMark } from "@/core/knife/design/schema";
import type { MaterialOf } from "@/core/materials/types";
import { byCount, small } from "./grammar";

export const MARK_WAY_WORDS: Readonly<Record<BladeMark["way"], string>> = {
  stamped: "Stamped",
  current: "Etched by current",
  acid: "Etched by acid",
};

export const MARK_SIDE_WORDS: Readonly<Record<BladeMark["side"], string>> = {
  right: "Right side",
  left: "Left side",
};

/** What a mark may lie across, in a sentence. */
export function crossesWords(of: MarkNeighbour): string {
  switch (of) {
    case "outline":
      return "the blade's edge";
    case "handle":
      return "what covers the blade";
    case "bolster":
      return "the bolster's front";
    case "plunge":
      return "the plunge";
    case "face":
      return "the grind line";
    case "ridge":
      return "the ridge";
    case "swedge":
      return "the false edge's line";
    case "mark":
      return "another mark";
    case "sharpened":
      return "the sharpened edge";
    default:
      return "a fuller's border";
  }
}

/** Why something cannot be a mark. */
export function markFailureWords(
  failure:
    | { readonly code: "no-area" | "too-long" }
    | { readonly code: "missing"; readonly letters: readonly string[] },
): string {
  switch (failure.code) {
    case "no-area":
      return "There is nothing in it that is filled: a mark is made of closed outlines.";
    case "too-long":
      return "It is more than 120 times as long as it is high.";
    case "missing":
      return `The fonts have no ${failure.letters.slice(0, 12).join(" ")}: draw the mark as SVG or DXF.`;
  }
}

/** What was left out of a drawing. */
export const openWords = (open: number): string =>
  `${byCount(open, "One line does", `${open} lines do`)} not close, and ${byCount(open, "is", "are")} left out: a mark is made of closed outlines.`;

/** What something is cut from. */
export const cutFrom = (material: string, materialOf: MaterialOf): string =>
  material === FILM ? "Stencil film" : (materialOf(material)?.name ?? material);

/** A mark in one line: "“SEDGE”, 14 mm long, 4 mm high, 0.05 mm deep, etched by current". */
export function markLine(mark: BladeMark, widthMm: number, units: UnitSystem): string {
  const say = (mm: number) => printLengthPlain(mm, units);
  const turned = mark.turnedDeg === 0 ? "" : `, turned by ${mark.turnedDeg.toFixed(1)}°`;
  return `“${mark.says}”, ${say(widthMm)} long, ${say(mark.heightMm)} high${turned}, ${say(mark.depthMm)} deep, ${small(MARK_WAY_WORDS[mark.way])}; its middle ${say(mark.xMm)} ahead of the front, ${say(mark.downMm)} below the spine`;
}

/** What a film is. */
export function stencilTitle({ side, marks }: Stencil): string {
  const where = side === "right" ? "right side" : "left side";
  return marks.length > 0 ? `Stencil, ${where}` : `Mask, ${where}`;
}

/** What stands under a film. */
export function stencilLines(stencil: Stencil): string[] {
  const islands = looseIslands(stencil);
  if (stencil.marks.length === 0)
    return ["No opening: it keeps the etch off this side. Lay its crosses on those of the stencil."];
  return [
    "Dashed: the blade under it. Lay it on degreased steel, its outline on the blade's.",
    ...(islands > 0
      ? [
          `${byCount(islands, "One inside of a letter comes", `${islands} insides of letters come`)} loose when it is cut: carry them over on transfer tape.`,
        ]
      : []),
  ];
}

/** The same film to be laid face down. */
export const REVERSED_WORDS = "Reversed, for film or toner that is laid face down";

/** How each way is done, and what it asks for. Common practice, no source. */
export const MARK_WAY_STEPS: Readonly<Record<BladeMark["way"], readonly string[]>> = {
  stamped: [
    "Stamped: before hardening, on a flat and backed-up face, one blow; the face is dressed afterwards.",
    "Stamps and hardened steel chip under the hammer: wear eye protection.",
  ],
  current: [
    "Etched by current: the blade is plus. 12 V, about 2 A, bursts of about 20 s with short pauses, a dip in water after each minute, 3 to 4 min in all; the back masked.",
    "Salt water gives chlorine, and stainless steel leaves chromium in the waste: ventilate, wear gloves, collect what is left over and hand it in as your place asks.",
  ],
  acid: [
    "Etched by acid: ferric chloride, about 5 min, or 10 to 20 min lifted now and then; everything else covered. Neutralise in soda and rinse.",
    "Gloves and goggles; acid into water, never water into acid. What is used up is waste that is handed in.",
  ],
};
