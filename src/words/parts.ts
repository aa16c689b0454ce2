import type { PartKey } from "@/core/assembly/partKey";
import type { PieceRole } from "@/core/design/schema";
import type { CutKey } from "@/core/fit/cutKey";
import type { EndComponent } from "@/core/tangEnds/kind";
import { FASTENERS } from "./fasteners";
import { FITTING_WORDS } from "./fittings";

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
  screw: "Butt screw",
  socket: "Socket",
  counterbore: "Counterbore",
  bore: "Screw's bore",
};

const PLAIN_WORDS = {
  blade: "Blade",
  tang: "Tang",
  "tang-hole": "Tang hole fill",
  frame: "Frame",
  recess: "Recess fill",
  "guard-slot": "Slot fill",
  slot: "Tang slot fill",
  ring: "Finger ring",
  "ring-bore": "Ring bore",
} as const;

const REST_WORDS = { weld: "Tang, welded on", filler: "Filler behind the tang" } as const;
const END_WORDS = { front: "Front", rear: "Rear" } as const;
const STRIP_WORDS = { liner: "Liner", scale: "Scale", divider: "Divider" } as const;

const numbered = (name: string, number: number | null) => (number === null ? name : `${name} ${number}`);
const guardName = (number: number | null) => (number === null ? "Guard" : `Guard plate ${number}`);

/** What a part is called. */
export function partName(key: PartKey): string {
  switch (key.kind) {
    case "tang-rest":
      return REST_WORDS[key.sort];
    case "tang-end":
      return END_COMPONENT_WORDS[key.component];
    case "hole":
      return key.sort === "old-pin" ? "Old pin hole, filled" : "Tang hole fill";
    case "guard":
      return guardName(key.number);
    case "fitting":
      return FITTING_WORDS[key.sort].name;
    case "bolster":
      return `${END_WORDS[key.sort]} bolster, ${key.side}`;
    case "liner":
    case "scale":
    case "divider":
      return `${numbered(STRIP_WORDS[key.kind], key.number)}, ${key.side}`;
    case "piece":
      return PIECE_WORDS[key.sort];
    case "fastener": {
      const { name, components } = FASTENERS[key.sort];
      return key.component === null ? name : (components?.[key.component] ?? name);
    }
    default:
      return PLAIN_WORDS[key.kind];
  }
}

/** What a part is called without its side and number. */
export function partStem(key: PartKey): string {
  switch (key.kind) {
    case "guard":
      return key.number === null ? "Guard" : "Guard plate";
    case "bolster":
      return `${END_WORDS[key.sort]} bolster`;
    case "liner":
    case "scale":
    case "divider":
      return STRIP_WORDS[key.kind];
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
    case "guard":
      return guardName(key.number);
    case "liner":
    case "scale":
      return `${numbered(STRIP_WORDS[key.kind], key.number)}, ${key.side}`;
    case "bolster":
      return `${END_WORDS[key.sort]} bolster${key.side === "pair" ? "s" : ""}, ${key.side}`;
    case "divider":
      return numbered(STRIP_WORDS[key.kind], key.number);
    case "piece":
      return `${key.number}. ${PIECE_WORDS[key.sort]}`;
  }
}
