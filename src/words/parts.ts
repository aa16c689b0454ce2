import { own } from "@/core/base/own";
import type { EndComponent } from "@/core/kinds/tangEnds/kind";
import type { PieceRole } from "@/core/knife/design/schema";
import type { CutKey } from "@/core/knife/parts/cutKey";
import type { PartKey } from "@/core/knife/parts/partKey";
import type { Naming } from "@/core/knife/shapes/itemNames";
import { FASTENERS, inSentence } from "./fasteners";
import { FITTING_WORDS } from "./fittings";
import { capital } from "./grammar";

/** Names of a stack's pieces, in reports and on screen alike. */
export const PIECE_WORDS: Record<PieceRole, string> = {
  ferrule: "Ferrule",
  bolster: "Bolster",
  spacer: "Spacer",
  washer: "Washer",
  block: "Block",
  "butt-plate": "Butt plate",
  pommel: "Pommel",
};

const END_COMPONENT_WORDS: Record<EndComponent, string> = {
  nut: "Butt nut",
  stud: "Stud",
  cap: "Butt cap",
  screw: "Butt screw",
  socket: "Socket",
  counterbore: "Counterbore",
  bore: "Screw's bore",
};

const PLAIN_WORDS = {
  blade: "Blade",
  "bare-end": "Bare tang behind the scales",
  "blade-notch": "Notch in the edge",
  groove: "Groove across the handle",
  tang: "Tang",
  "tang-hole": "Tang hole fill",
  frame: "Frame",
  recess: "Recess fill",
  "guard-slot": "Slot fill",
  ring: "Finger ring",
  "ring-bore": "Ring bore",
} as const;

const REST_WORDS = { weld: "Tang, welded on", filler: "Filler behind the tang" } as const;
const END_WORDS = { front: "Front", rear: "Rear" } as const;
const STRIP_WORDS = { liner: "Liner", scale: "Scale", divider: "Divider" } as const;

export const numbered = (name: string, number: number | null) =>
  number === null ? name : `${name} ${number}`;
/** A plate of the guard, or the whole of one plate. */
export const guardName = ({ number, called }: { number: number | null; called?: string }) =>
  called ?? (number === null ? "Guard" : `Guard plate ${number}`);
/** What its maker calls it, or what it is and which of several. */
const named = (name: string, { number, called }: Naming) => called ?? numbered(name, number ?? null);

/** A piece of a stacked handle: as its maker calls it, or by its role and which of several. */
export const pieceWords = (role: PieceRole, naming: Naming): string => named(PIECE_WORDS[role], naming);

const LENGTHWISE_WORDS = {
  lower: "Lower part of the handle",
  "lengthwise-sheet": "Sheet along the handle",
} as const;

const dividerWords = ({ number, sheet }: { number: number; sheet: number | null }) =>
  `${numbered(STRIP_WORDS.divider, number)}${sheet === null ? "" : `, sheet ${sheet}`}`;
const halfWords = ({ sort, number }: { sort: "front" | "rear"; number: number | null }) =>
  numbered(`${END_WORDS[sort]} half`, number);

/** A part that a product names by itself: its sort in words, and which of several. */
export const componentName = ({ sort, number }: { sort: string; number: number | null }) => {
  const plain = sort.replaceAll("-", " ");
  return numbered(capital(plain), number);
};

/** What a part is called. */
export function partName(key: PartKey): string {
  switch (key.kind) {
    case "tang-rest":
      return REST_WORDS[key.sort];
    case "tang-end":
      return END_COMPONENT_WORDS[key.component];
    case "hole":
      return key.sort === "old-pin"
        ? `${named("Old pin hole", key)}, filled`
        : `${named("Tang hole", key)}, fill`;
    case "slot":
      return `${named("Tang slot", key)}, fill`;
    case "guard":
      return guardName(key);
    case "fitting":
      return key.side === null
        ? FITTING_WORDS[key.sort].name
        : `${FITTING_WORDS[key.sort].name}, ${key.side}`;
    case "wrap":
      return numbered("Wrap", key.number);
    case "bolster":
      return `${END_WORDS[key.sort]} bolster, ${key.side}`;
    case "liner":
    case "scale":
      return `${numbered(STRIP_WORDS[key.kind], key.number)}, ${key.side}`;
    case "divider":
      return `${dividerWords(key)}, ${key.side}`;
    case "component":
      return key.side === null ? componentName(key) : `${componentName(key)}, ${key.side}`;
    case "half":
      return `${halfWords(key)}, ${key.side}`;
    case "lower":
    case "lengthwise-sheet":
      return key.side === null ? LENGTHWISE_WORDS[key.kind] : `${LENGTHWISE_WORDS[key.kind]}, ${key.side}`;
    case "piece":
      return pieceWords(key.sort, key);
    case "fastener": {
      const { name, components } = FASTENERS[key.sort];
      const whole = named(name, key);
      const component = key.component === null ? undefined : own(components, key.component);
      return component ? `${component}, ${inSentence(whole, key)}` : whole;
    }
    default:
      return PLAIN_WORDS[key.kind];
  }
}

/** The same within a sentence; a maker's own name keeps its letters. */
export const partInSentence = (key: PartKey): string =>
  inSentence(partName(key), "called" in key ? { called: key.called } : {});

/** What a part is called without its side and number. */
export function partStem(key: PartKey): string {
  switch (key.kind) {
    case "fitting":
      return FITTING_WORDS[key.sort].name;
    case "wrap":
      return "Wrap";
    case "guard":
      return key.number === null ? "Guard" : "Guard plate";
    case "bolster":
      return `${END_WORDS[key.sort]} bolster`;
    case "liner":
    case "scale":
    case "divider":
      return STRIP_WORDS[key.kind];
    case "lower":
    case "lengthwise-sheet":
      return LENGTHWISE_WORDS[key.kind];
    case "component":
      return componentName({ sort: key.sort, number: null });
    case "half":
      return `${END_WORDS[key.sort]} half`;
    case "hole":
      return key.sort === "old-pin" ? "Old pin hole, filled" : "Tang hole, fill";
    case "slot":
      return "Tang slot, fill";
    case "piece":
      return PIECE_WORDS[key.sort];
    case "fastener": {
      const { name, components } = FASTENERS[key.sort];
      return key.component === null ? name : (own(components, key.component) ?? name);
    }
    default:
      return partName(key);
  }
}

/** What a piece that is sawn out of stock is called. */
export function cutName(key: CutKey): string {
  switch (key.kind) {
    case "blade":
      return "Blade and tang";
    case "frame":
      return "Frame";
    case "tang-rest":
      return REST_WORDS[key.sort];
    case "tang-end":
      return END_COMPONENT_WORDS[key.component];
    case "guard":
      return guardName(key);
    case "fitting":
      return `${FITTING_WORDS[key.sort].name}, ${key.side}`;
    case "liner":
    case "scale":
      return `${numbered(STRIP_WORDS[key.kind], key.number)}, ${key.side}`;
    case "bolster":
      return `${END_WORDS[key.sort]} bolster${key.side === "pair" ? "s" : ""}, ${key.side}`;
    case "divider":
      return dividerWords(key);
    case "half":
      return `${halfWords(key)}, ${key.side}`;
    case "lower":
    case "lengthwise-sheet":
      return key.side === null ? LENGTHWISE_WORDS[key.kind] : `${LENGTHWISE_WORDS[key.kind]}, ${key.side}`;
    case "piece":
      return pieceWords(key.sort, key);
  }
}
