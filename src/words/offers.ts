import { isRecord } from "@/core/base/isRecord";
import { roundTo } from "@/core/base/number";
import { own } from "@/core/base/own";
import { valueAt } from "@/core/base/record/path";
import {
  printLength,
  printLengthPlain,
  printLengthShort,
  printMass,
  type UnitSystem,
} from "@/core/base/units/print";
import type { Change, Fix, Offer } from "@/core/figures/review/types";
import { piecesOf } from "@/core/knife/design/handleParts";
import { materialsIn } from "@/core/knife/design/materials";
import type { Design } from "@/core/knife/design/schema";
import { itemNames, pieceNaming } from "@/core/knife/shapes/itemNames";
import type { MaterialOf } from "@/core/materials/types";
import { HOLE_WORDS, TANG_WORDS } from "./constructions";
import { itemInSentence, itemWords } from "./fasteners";
import { anyItem, fieldName } from "./fields";
import { capital, counted, small, smallFirst } from "./grammar";
import { ITEM_WORDS } from "./items";
import { leverWords } from "./levers";
import { PIECE_WORDS, pieceWords } from "./parts";

/** What a field that a fix sets is called, by the end of its path; shares are in %. */
const FIELD_WORDS: Readonly<Record<string, string>> = {
  diameterMm: "diameter",
  seatMm: "seat from the middle",
  screwLengthMm: "screw",
  insertLengthMm: "insert",
  nutLengthMm: "nut",
  headThicknessMm: "head",
  boreDepthMm: "depth of the bore",
  pressedShare: "pressed by",
  lengthMm: "length",
  yMm: "middle over the axis",
  frontHeightMm: "height at the front",
  endHeightMm: "height at the end",
  frontThicknessMm: "thickness at the front",
  endThicknessMm: "thickness at the end",
  shoulderRadiusMm: "shoulder radius",
  engagedMm: "thread engaged",
  clearanceMm: "clearance",
  slotClearanceMm: "clearance",
  widthMm: "width",
  heightMm: "height",
  pitchMm: "pitch",
};

/** What a path belongs to, where its end alone would not say. */
const OWNER_WORDS: readonly (readonly [RegExp, string])[] = [
  [/^tang\.end\.nut\./, "Nut's"],
  [/^tang\.hole\./, "Tang hole's"],
  [/^tang\./, "Tang's"],
  [/^guard\.slot\./, "Slot's"],
  [/^fitUp\.slotClearanceMm$/, "Slot's"],
  [/^handle\.frontBevel\./, "Front bevel's"],
  [/^handle\.rearBevel\./, "Rear bevel's"],
  [/^guard\.fittings\./, "Guard's"],
];

/** What is left out, where the field's name would not say it. */
const CLEAR_WORDS: Readonly<Record<string, string>> = {
  "blade.outline": "Draw the blade by a style again",
  "blade.leftGrind": "Grind both sides alike",
  "blade.measured": "Leave out what was measured: begin from the drawing",
  "blade.measured.massG": "Leave the weight open until it is weighed again",
  "blade.measured.balance.xMm": "Leave the balance open until it is found again",
  "blade.measured.balance.readingG": "Leave the reading open until it is read again",
};

/** What a fix sets, from what to what, in the maker's units. */
export function offerWords(
  { fix, changes }: Pick<Offer, "fix" | "changes">,
  design: Design,
  system: UnitSystem,
): string {
  const mm = (value: number) => printLengthPlain(value, system);
  switch (fix.kind) {
    case "set":
      return moved(changes, design, mm) ?? changes.map((c) => changeWords(c, design, mm, system)).join("; ");
    case "replace-fastener":
      return `${named(design, fix.fastener.id)}: a glued pin of ${mm(fix.fastener.diameterMm)} instead`;
    case "add-fastener": {
      const f = fix.fastener;
      return `Add a pin of ${mm(f.diameterMm)}, ${mm(-f.xMm)} behind the front`;
    }
    case "add-piece": {
      const { role, lengthMm, material } = fix.piece;
      const name = materialsIn(design)(material)?.name ?? material;
      return `Add a ${small(PIECE_WORDS[role])} of ${name}, ${mm(lengthMm)}, out of the length of the last piece`;
    }
    case "block-hole": {
      const { hole } = fix;
      const fill = hole.fill ? materialsIn(design)(hole.fill)?.name : null;
      const same = design.tang.kind === "hidden" && design.tang.hole.kind === hole.kind;
      return same && fill
        ? `Fill the tang hole with ${fill}`
        : `Make the hole ${small(HOLE_WORDS[hole.kind])}`;
    }
    case "handle-length":
      return `Handle ${mm(fix.mm)} long, what is drilled through it moved along`;
    case "take-out":
      return fix.count
        ? `Take out ${counted(fix.count, own(ITEM_WORDS, anyItem(fix.list)) ?? "item")}`
        : `Take out ${itemAt(design, fix.list, fix.at)}`;
    case "clear":
      if (fix.also && fix.also.length > 0) return "Leave out all imported shapes";
      return own(CLEAR_WORDS, fix.path) ?? `Leave out: ${smallFirst(fieldName(fix.path, design))}`;
    case "own-ids":
      return "Give each a mark of its own";
    case "material":
      return `Take ${materialsIn(design)(fix.to)?.name ?? fix.to} instead`;
    case "tang":
      return `Tang: ${small(TANG_WORDS[fix.to])}`;
    case "unglue":
      return "Leave out the glue round the tang, and pins through it";
    case "pull":
      return pullWords(fix, mm, materialsIn(design));
  }
}

function pullWords(
  { lever, amount }: Extract<Fix, { kind: "pull" }>,
  mm: (value: number) => string,
  materialOf: MaterialOf,
): string {
  const name = leverWords(lever, materialOf);
  if (lever.includes(":")) return name;
  if (lever === "holes") return `${name}: ${amount} more`;
  return `${name}: ${mm(Math.abs(amount))} ${amount > 0 ? "more" : "less"}`;
}

/** A fastener or a hole that is moved: how far, and where to. */
function moved(changes: readonly Change[], design: Design, mm: (value: number) => string): string | null {
  const place = /^(fasteners|tang\.holes)\.(\d+)\.(xMm|yMm)$/;
  const [first] = changes;
  if (!first || !changes.every((c) => place.test(c.path))) return null;
  const item = valueAt(design, first.path.replace(/\.[xy]Mm$/, "")) as {
    id: string;
    xMm: number;
    yMm: number;
  };
  const to = { x: item.xMm, y: item.yMm };
  for (const c of changes) to[c.path.endsWith("xMm") ? "x" : "y"] = c.to;
  const far = Math.hypot(to.x - item.xMm, to.y - item.yMm);
  const over = `${mm(Math.abs(to.y))} ${to.y < 0 ? "under" : "over"} the axis`;
  return `Move ${itemNamed(design, item.id)} by ${mm(far)}, to ${mm(-to.x)} behind the front, ${over}`;
}

/** A fastener or a hole of the tang by its name. */
function named(design: Design, id: string): string {
  const name = itemNames(design).get(id);
  return name ? itemWords(name) : "Hole";
}

/** A piece of a stacked handle by its name. */
function pieceNamed(design: Design, index: number): string {
  const { handle } = design;
  const piece = piecesOf(handle)[index] ?? null;
  return piece ? pieceWords(piece.role, pieceNaming(design, index)) : "Piece";
}

/** The same within a sentence. */
function itemNamed(design: Design, id: string): string {
  const name = itemNames(design).get(id);
  return name ? itemInSentence(name) : "a hole";
}

function changeWords(
  { path, from, to }: Change,
  design: Design,
  mm: (value: number) => string,
  system: UnitSystem,
): string {
  const field = own(FIELD_WORDS, path.slice(path.lastIndexOf(".") + 1));
  const item = /^(fasteners|handle\.pieces)\.(\d+)\./.exec(path);
  const owner = item
    ? item[1] === "fasteners"
      ? `${named(design, design.fasteners[Number(item[2])].id)}'s`
      : `${pieceNamed(design, Number(item[2]))}'s`
    : OWNER_WORDS.find(([of]) => of.test(path))?.[1];
  if (!field || !owner) return fieldChangeWords({ path, from, to }, design, system);
  const share = path.endsWith("Share");
  const shown = (value: number) => (share ? `${Math.round(value * 100)} %` : mm(value));
  const was = share ? `${Math.round(from * 100)}` : printLengthShort(from, system);
  return `${owner} ${field} from ${was} to ${shown(to)}`;
}

/** The sign under which a station is shown: behind the front is plus. */
const BEHIND = /behind the front/i;

/** The same of any field: its item by its place in the list, its name, and its value in the field's unit. */
function fieldChangeWords({ path, from, to }: Change, design: Design, system: UnitSystem): string {
  const name = fieldName(path, design);
  const sign = BEHIND.test(name) ? -1 : 1;
  const shown = (value: number) => numberWords(path, sign * value, system);
  const [list, at] = itemIn(path);
  const owner = list === null ? "" : itemAt(design, list, at);
  const of = owner ? `${capital(owner)}: ${smallFirst(name)}` : name;
  return `${of} from ${shown(from)} to ${shown(to)}`;
}

/** The innermost list on a path, and the item's number in it; none of a path without. */
function itemIn(path: string): [string | null, number] {
  const found = /^(.*)\.(\d+)(?=\.)/.exec(path);
  return found ? [found[1], Number(found[2])] : [null, 0];
}

/** An item of a list by its name, else by its place: "the edge pin", "fuller 2". */
function itemAt(design: Design, list: string, at: number): string {
  const items = valueAt(design, list);
  const item: unknown = Array.isArray(items) ? items[at] : null;
  const id = isRecord(item) && typeof item.id === "string" ? item.id : "";
  const name = list === "fasteners" || list.startsWith("tang.") ? itemNames(design).get(id) : undefined;
  if (name) return itemInSentence(name);
  if (list === "handle.pieces") return smallFirst(pieceNamed(design, at));
  const word = own(ITEM_WORDS, anyItem(list)) ?? "item";
  return Array.isArray(items) && items.length > 1 ? `${word} ${at + 1}` : `the ${word}`;
}

/** A number in the unit that its field's name ends in. */
function numberWords(path: string, value: number, system: UnitSystem): string {
  if (path.endsWith("Mm")) return printLengthPlain(value, system);
  if (/share$/i.test(path)) return `${Math.round(value * 100)} %`;
  if (path.endsWith("Deg")) return `${roundTo(value, 2)}°`;
  if (/\.\w*[mM]assG$|G$/.test(path)) return printMass(value, system);
  return String(roundTo(value, 3));
}

/** What a fix does to weight and balance. */
export function effectWords(
  { massG, balanceMm }: Pick<Offer, "massG" | "balanceMm">,
  system: UnitSystem,
): string {
  const signed = (text: string) => (/^[−0]/.test(text) ? text : `+${text}`);
  if (massG === null || balanceMm === null) return "can be built then";
  const [mass, balance] = [printMass(massG, system), printLength(balanceMm, system)];
  const none = (text: string) => !/[1-9]/.test(text);
  if (none(mass) && none(balance)) return "weight and balance stay";
  return `${signed(mass)}, balance ${signed(balance)}`;
}
