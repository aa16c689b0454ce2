import { sameData } from "@/core/base/sameData";
import { SAME_PLACE_MM } from "@/core/base/tolerances";
import { printLengthPlain, type UnitSystem } from "@/core/base/units/print";
import type { EndFacePart } from "@/core/exchange/cutting/endFaces";
import type { DrawnPiece } from "@/core/exchange/cutting/pieceLayers";
import { MISSING } from "@/core/exchange/paper/letters";
import type { Hole, HoleFace } from "@/core/figures/fit/holes";
import type { MaterialOf } from "@/core/materials/types";
import { BORE_WORDS, ownerWords } from "./fit";
import { cutName } from "./parts";

export const SHEET_KINDS = [
  "templates",
  "grinding",
  "stencil",
  "fit-up",
  "parts",
  "work",
  "customer",
  "certificate",
  "owner",
  "sheath",
] as const;
export type SheetKind = (typeof SHEET_KINDS)[number];

/** What each sheet is called, and what it is for. */
export const SHEET_WORDS: Readonly<Record<SheetKind, { readonly name: string; readonly says: string }>> = {
  templates: { name: "Templates", says: "Every part at its own size, to cut out and lay on the stock." },
  grinding: {
    name: "Blade and grinding",
    says: "Lines to scribe, bevels to set, thicknesses to measure before and after hardening, flats before rounding.",
  },
  stencil: {
    name: "Stencils",
    says: "Films for the marks on the blade at their own size, and the mask for its back.",
  },
  "fit-up": { name: "Fit-up card", says: "Drills, pins, slot, bolts, glue and saw list for the bench." },
  parts: { name: "Parts and weights", says: "What each part is made of, weighs, and where." },
  work: {
    name: "Order of work",
    says: "Every task in order with its figures, to tick off, and what has to be bought.",
  },
  customer: {
    name: "Customer's sheet",
    says: "Drawing, materials, weight, options and price, to be signed.",
  },
  certificate: { name: "Certificate", says: "What the finished knife is, to go with it." },
  owner: { name: "Owner's card", says: "How it is taken apart, with which key, and put together again." },
  sheath: {
    name: "Sheath",
    says: "A leather sheath round the knife at its own size: panels, welt, every stitch; thread, weight, order of work.",
  },
};

/** Why a knife has no sheet of a kind. */
export const WITHOUT_WORDS: Partial<Readonly<Record<SheetKind, string>>> = {
  owner: "it does not come apart",
  stencil: "there is no mark on its blade",
};

const SIDE_WORDS = { right: "right", left: "left" } as const;

/** A piece to cut: "Scale, right". */
export function pieceTitle({ part: { key }, side }: DrawnPiece): string {
  return side ? `${cutName(key).replace(/, (pair|right|left)$/, "")}, ${SIDE_WORDS[side]}` : cutName(key);
}

/** What is written under a template, but for its holes. */
export function pieceLines(piece: DrawnPiece, materialOf: MaterialOf, units: UnitSystem): string[] {
  const { part, count } = piece;
  const material = materialOf(part.material)?.name ?? part.material;
  return [
    pieceTitle(piece),
    `${material}, ${printLengthPlain(part.thicknessMm, units)} thick${count > 1 ? `, ${count} of them` : ""}${part.grain ? ", grain along the handle" : ""}`,
    ...(part.face === "front" ? ["Seen from the front, spine up"] : part.pair ? ["Outside toward you"] : []),
  ];
}

/** A face of a piece that is marked out on the piece itself: "Block, front face". */
export const faceTitle = ({ key, face }: EndFacePart): string =>
  face === "front" ? `${cutName(key)}, front face` : `${cutName(key)}, rear face, seen from the rear`;

const FROM_WORDS: Readonly<Record<HoleFace, string>> = {
  outside: "from the outside",
  inside: "from the inside",
  front: "from the front",
  rear: "from the rear",
};

/** One line for holes that are drilled alike: "A: Insert, for Screw 1: 4 mm, 2.5 mm deep from the inside". */
export function holeLine(letter: string, holes: readonly Hole[], units: UnitSystem): string {
  return `${letter}: ${holeWords(holes, units)}`;
}

/** What holes that are drilled alike are for, how large and how deep: "Insert, Screw 1: 4 mm, 2.5 mm deep from the inside". */
export function holeWords(holes: readonly Hole[], units: UnitSystem): string {
  const [h] = holes;
  const system = units === "metric" ? "metric" : "inch";
  const size = printLengthPlain(h.drilledMm, system);
  const drill =
    h.drill && Math.abs(h.drill.mm - h.drilledMm) < SAME_PLACE_MM ? `, drill ${h.drill.name}` : "";
  const deep =
    h.from === null || h.depthMm === null
      ? "right through"
      : `${printLengthPlain(h.depthMm, system)} deep ${FROM_WORDS[h.from]}`;
  const what = `${BORE_WORDS[h.use]}${h.thread ? ` ${h.thread}` : ""}`;
  // A pin's hole is the pin's, and the tang's the tang's: what it is for says it.
  const said = h.use === "pin" || h.use === "tang" ? [] : [what];
  const owners = ownerWords(
    holes.map((o) => o.owner).filter((o, i, all) => all.findIndex((p) => sameData(p, o)) === i),
  );
  return `${[...said, ...(h.use === "dowel" ? [] : [owners])].join(", ")}: ${size}${drill}, ${deep}`;
}

export const FOOT_WORDS = {
  check:
    "Print at 100 %, not fitted to the page. Measure the scales and the square before cutting: if they are not true, type what you measured under Sheets, and print again. Cut on the outside of the line.",
  millimetres: "100 mm",
  inches: "4 in",
  square: "50 × 50 mm",
} as const;

/** Letters that the fonts of a PDF do not have, before it is saved. */
export const missingWords = (letters: readonly string[]): string =>
  `The PDF's fonts have no ${letters.slice(0, 12).join(" ")}${letters.length > 12 ? " …" : ""}: where one of these stands, the PDF shows ${MISSING}. Print prints them, with the fonts of this browser.`;

/** On the tiles of a part that is larger than a sheet. */
export const tileWords = (
  figure: string,
  column: number,
  row: number,
  columns: number,
  rows: number,
): string =>
  `${figure}: ${rows > 1 ? `row ${row} of ${rows}, ` : ""}sheet ${column} of ${columns} from the left. Lay the crosses on each other.`;
