import { own } from "@/core/base/own";
import type { FastenerKind } from "@/core/kinds/fasteners/registry";
import type { ItemName, Naming } from "@/core/knife/shapes/itemNames";
import { smallFirst } from "./grammar";

/** What a kind of fastener is called, with more fields than most. */
interface FastenerWords {
  readonly name: string;
  /** Several of them, as they are bought. */
  readonly bought?: string;
  /** One, as it is priced. */
  readonly priced?: string;
  /** What of it is weighed, or left empty, by itself. */
  readonly components?: Readonly<Record<string, string>>;
  /** Fields that are called otherwise than usually. */
  readonly fields?: Readonly<Record<string, string>>;
  readonly help?: Readonly<Record<string, string>>;
}

export const FASTENERS: Record<FastenerKind, FastenerWords> = {
  pin: { name: "Pin" },
  "patterned-pin": { name: "Patterned pin" },
  "lanyard-tube": { name: "Lanyard tube", components: { bore: "Lanyard bore" } },
  "blind-pin": { name: "Blind pin" },
  rivet: { name: "Rivet" },
  "sleeve-bolt": {
    name: "Sleeve bolt",
    bought: "Sleeve bolts",
    components: { bore: "Empty bore", plug: "Plugs over heads" },
  },
  "cap-screw": {
    name: "Cap screws",
    bought: "Cap screws with inserts",
    priced: "Cap screws with insert",
    components: {
      socket: "Socket",
      bore: "Empty thread",
      insert: "Threaded insert",
      plug: "Plugs over heads",
    },
    fields: { screwLengthMm: "Screw length under the head" },
    help: { insertLengthMm: "A little longer than the tang is thick, so that the scales pull down on it." },
  },
  "nutted-rod": {
    name: "Nutted rod",
    bought: "Rods with nuts",
    priced: "Rod with nuts",
    components: { plug: "Plugs over nuts" },
  },
  "binding-screw": {
    name: "Binding screw",
    bought: "Binding screws with posts",
    priced: "Binding screw with post",
    components: { bore: "Empty thread", counterbore: "Over the heads" },
    fields: { diameterMm: "Post diameter", boreDepthMm: "Post bored to" },
    help: { boreDepthMm: "Tapped from its open end; a little deeper than the screw is long." },
  },
};

/** Names of fasteners, in reports and on screen alike. */
export const FASTENER_WORDS = Object.fromEntries(
  Object.entries(FASTENERS).map(([kind, { name }]) => [kind, name]),
) as Record<FastenerKind, string>;

/** What fields of fasteners are usually called. */
const FIELDS: Readonly<Record<string, string>> = {
  diameterMm: "Diameter",
  pitchMm: "Pitch",
  boreMm: "Bore",
  lengthMm: "Length",
  seatMm: "Seat from the middle",
  headMm: "Head across",
  headHeightMm: "Head height",
  headThicknessMm: "Head thickness",
  headLengthMm: "Head length",
  letInMm: "Let in by",
  style: "Heads",
  screwMm: "Screw diameter",
  screwLengthMm: "Screw length",
  socketMm: "Socket across flats",
  counterboreMm: "Counterbore",
  insertMm: "Insert diameter",
  insertLengthMm: "Insert length",
  nutAcrossMm: "Nut across flats",
  nutLengthMm: "Nut length",
  material: "Material",
  insertMaterial: "Insert of",
  plug: "Over the heads",
  fill: "Fill, the rest",
  "tube.material": "Tube",
  "tube.share": "Tube, share of area",
  "rods.material": "Rods",
  "rods.share": "Rods, share of area",
};

const HELP: Readonly<Record<string, string>> = {
  seatMm: "What stands over the surface is dressed flush with it.",
};

/** What one field of a kind is called, by its dotted path in the record, and what helps to fill it in. */
export function fastenerFieldWords(kind: FastenerKind, path: string): { label: string; help?: string } {
  const { fields, help } = FASTENERS[kind];
  return { label: own(fields, path) ?? own(FIELDS, path) ?? path, help: own(help, path) ?? own(HELP, path) };
}

/** What the choices of a field are called. */
export const FASTENER_CHOICE_WORDS: Readonly<Record<string, Readonly<Record<string, string>>>> = {
  style: { domed: "Domed", flat: "Flat" },
};

/** One fastener, hole or slot of a knife: as its maker calls it, or by its kind and its number from the front. */
export function itemWords(item: ItemName): string {
  const kind = item.kind === "fastener" ? FASTENER_WORDS[item.sort] : item.kind === "hole" ? "Hole" : "Slot";
  return item.called ?? `${kind} ${item.number}`;
}

/** The same within a sentence: "pin 2". */
export const itemInSentence = (item: ItemName): string => inSentence(itemWords(item), item);

/** A name within a sentence: a maker's own keeps its letters. */
export const inSentence = (name: string, { called }: Naming): string =>
  called === undefined ? smallFirst(name) : name;
