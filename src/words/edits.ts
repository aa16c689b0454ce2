import { isRecord } from "@/core/base/isRecord";
import { own } from "@/core/base/own";
import type { UnitSystem } from "@/core/base/units/print";
import type { CommonEdit } from "@/core/edit/common";
import type { FixedEdit } from "@/core/edit/fixed/edits";
import type { KeptEdit } from "@/core/edit/kept";
import type { PointName } from "@/core/edit/points/types";
import type { AnyEdit } from "@/core/edit/table";
import { leversOf } from "@/core/figures/tune/levers";
import { materialsIn } from "@/core/knife/design/materials";
import type { Design } from "@/core/knife/design/schema";
import { NOTCH_WORDS } from "./blade";
import { NODE_WORDS } from "./bladeWords";
import { BUTT_WORDS, GUARD_FORM_WORDS } from "./constructions";
import { FASTENER_WORDS } from "./fasteners";
import { anyItem, fieldName } from "./fields";
import { FITTING_WORDS } from "./fittings";
import { small, smallFirst } from "./grammar";
import { HANDLE_LENGTH_WORDS } from "./handleLengths";
import { ITEM_WORDS } from "./items";
import { STATE_WORDS } from "./job";
import { stepWords } from "./levers";
import { CUT_WORDS, START_WORDS } from "./measured";
import { ROLE_WORDS } from "./patterns";
import { pointWords } from "./points";
import { RULE_WORDS } from "./rules";
import { RESOLVED_WORDS, WAY_BACK_EDITS } from "./waysBack";
import { PART_WORDS } from "./workshop";

/** Choices are called by tables of words; what was kept by another version, or comes from elsewhere, may name another. */
function called(words: Readonly<Record<string, string>>, choice: unknown): string | undefined {
  return typeof choice === "string" ? own(words, choice) : undefined;
}

/** What an item is called: by its kind where it says one, else by its list. */
function itemOf({ list, kind }: { readonly list?: unknown; readonly kind?: unknown }): string {
  const word = called(FASTENER_WORDS, kind) ?? called(NOTCH_WORDS, kind);
  return word ? small(word) : (typeof list === "string" && own(ITEM_WORDS, anyItem(list))) || "item";
}

/** What was typed or chosen there, where that tells more than which field it was. */
const SET_WORDS: Readonly<Record<string, (to: unknown) => string | undefined>> = {
  name: () => "Rename",
  "work.others.*.name": () => "Rename",
  "blade.sharpenedDeg": (to) => (to === null ? "Leave the edge unsharpened" : undefined),
  "blade.grind.angleDeg": (to) => (to === null ? "Give heights of the face" : undefined),
  "blade.leftGrind.angleDeg": (to) => (to === null ? "Give heights of the face" : undefined),
};

const fieldOf = (path: unknown, design: Design) =>
  typeof path === "string" ? smallFirst(fieldName(path, design)) : "value";

function setWords({ path, to }: { readonly path?: unknown; readonly to?: unknown }, design: Design): string {
  if (typeof path !== "string") return "Change";
  if (path.endsWith(".corner")) return to === true ? "Make a corner" : "Round the corner";
  return own(SET_WORDS, anyItem(path))?.(to) ?? `Change ${fieldOf(path, design)}`;
}

function pointNamed(name: unknown): string {
  return isRecord(name) ? smallFirst(pointWords(name as unknown as PointName)) : "point";
}

/** Levers with how far each is moved: "Guard's thickness +1.0 mm, Tang's length −5.0 mm". */
function pullWords(amounts: unknown, design: Design, units: UnitSystem): string {
  if (!isRecord(amounts)) return "Change";
  const unitOf = new Map(leversOf(design).map((l) => [l.id, l.unit]));
  return Object.entries(amounts)
    .map(([id, amount]) =>
      stepWords({ id, amount: Number(amount), unit: unitOf.get(id) ?? "mm" }, units, materialsIn(design)),
    )
    .join(", ");
}

type Edit = FixedEdit | CommonEdit;
/** What is left of an edit when it is kept with its step: any of its fields may be missing. */
type Left<C extends Edit["code"]> = {
  readonly [K in keyof Extract<Edit, { readonly code: C }>]?: unknown;
};

const WORDS: { readonly [C in Edit["code"]]: (edit: Left<C>, design: Design, units: UnitSystem) => string } =
  {
    set: setWords,
    put: ({ path }, design) => `Add ${fieldOf(path, design)}`,
    clear: ({ path }, design) => `Remove ${fieldOf(path, design)}`,
    add: (edit) => `Add ${itemOf(edit)}`,
    remove: (edit) => `Remove ${itemOf(edit)}`,
    reorder: (edit) => `Move ${itemOf(edit)}`,
    entry: ({ map }, design) => `Change ${fieldOf(map, design)}`,
    "take-reference": () => "Back to the reference",
    "take-other-tab": () => "Change from another tab",
    "take-variant": ({ name }) => `Take ${name ?? "a variant"}`,
    "take-blank": ({ grade }) => `Blank of ${grade}`,
    "take-pattern": ({ role }) => `Pattern: ${small(called(ROLE_WORDS, role) ?? "outline")}`,
    "start-from": ({ from }) => called(START_WORDS, from) ?? "Change the starting point",
    rehandle: () => "Re-handle an old knife",
    "balance-found": () => "Change how the balance was found",
    "keep-drawing": ({ keeps }) => (keeps ? "Keep the drawing as weighed" : "Describe what was weighed"),
    "weighed-now": () => "It was weighed as it is drawn now",
    "cut-was-in": ({ cut }) => called(CUT_WORDS, cut) ?? "Change what was in it",
    "blade-length": () => "Change length of the blade",
    "heel-height": () => "Change heel height",
    "tip-style": () => "Change tip style",
    "blade-by-points": () => "Draw the blade by points",
    "blade-by-style": () => "Draw the blade by a style",
    "blade-point-add": ({ run }) => `Add point on the ${run === "spine" ? "spine" : "edge"}`,
    "blade-point-remove": () => "Remove outline point",
    grind: () => "Change grind",
    "left-ground-apart": ({ apart }) => (apart ? "Let the sides differ" : "Grind both sides alike"),
    "left-grind": () => "Change the left side's grind",
    "mark-says": () => "Change what the mark says",
    tang: () => "Change kind of tang",
    "tang-end": () => "Change the tang's end",
    "hole-made": () => "Change how the hole is made",
    thread: ({ thread }) => `Change thread to ${thread ?? "another"}`,
    "thread-sizes": ({ thread }) => `Take sizes of ${thread ?? "another thread"}`,
    "tang-bare": ({ bare }) => (bare ? "Leave the tang bare" : "Put scales on the tang"),
    "metal-grip": ({ material }, design) => {
      const metal = typeof material === "string" ? materialsIn(design)(material)?.name : undefined;
      return `Build the grip up in ${metal ? smallFirst(metal) : "metal"}`;
    },
    "handle-length": ({ which }) => `Change ${small(called(HANDLE_LENGTH_WORDS, which) ?? "length")}`,
    "outline-mirrored": ({ mirrors }) => (mirrors ? "Mirror the outline" : "Let the outline's halves differ"),
    "follow-spine": () => "Let the handle follow the spine",
    "butt-form": ({ form }) => `${called(BUTT_WORDS, form) ?? "Another"} butt`,
    "finger-grooves": () => "Shape finger grooves",
    "outline-move": ({ role }) => `Move ${small(called(NODE_WORDS, role) ?? "point")}`,
    "outline-corner": ({ corner }) => (corner ? "Make a corner" : "Round the corner"),
    "outline-add": () => "Add outline point",
    "outline-remove": ({ role }) => `Remove ${small(called(NODE_WORDS, role) ?? "point")}`,
    "thickness-move": () => "Change thickness",
    "thickness-add": () => "Add thickness",
    "thickness-remove": () => "Remove thickness",
    roundness: () => "Change roundness",
    "sides-differ": ({ differ }) => (differ ? "Let the sides differ" : "Make both sides alike"),
    "match-scales": () => "Match the left scale",
    "curve-point-add": () => "Add point",
    "guard-form": ({ form }) => `${called(GUARD_FORM_WORDS, form) ?? "Another"} guard`,
    "plate-remove": () => "Remove guard plate",
    "guard-fitting": ({ kind, fitted }) => {
      const words =
        typeof kind === "string"
          ? own(FITTING_WORDS as Readonly<Record<string, { tick: string }>>, kind)
          : null;
      return `${fitted ? "Add" : "Remove"} ${small(words?.tick ?? "fitting")}`;
    },
    "lay-pins": ({ lay }) =>
      lay === "evenly"
        ? "Spread pins evenly"
        : lay === "mirrored"
          ? "Mirror pins"
          : "Align pins to the middle",
    "job-state": ({ state }) => `Change state to ${small(called(STATE_WORDS, state) ?? "another")}`,
    use: () => "Change use",
    "name-item": ({ to, title }) =>
      to ? `Name ${title ?? "item"} ${to}` : `Take the name off ${title ?? "item"}`,
    lock: ({ at, locks }, design) => `${locks ? "Lock" : "Unlock"} ${fieldOf(at, design)}`,
    accept: () => "Accept finding",
    "take-back-acceptance": () => "Take back acceptance",
    "follow-workshop": ({ name }) => `Follow ${name ?? "a workshop"}`,
    "share-part": ({ part }) => `Use the workshop's ${called(PART_WORDS, part) ?? "part"}`,
    "part-is-shared": ({ part }) => `Make it the workshop's ${called(PART_WORDS, part) ?? "part"}`,
    fix: ({ rule }) => {
      const name =
        typeof rule === "string" ? own(RULE_WORDS as Readonly<Record<string, { name: string }>>, rule) : null;
      return `Fix ${name ? small(name.name) : "finding"}`;
    },
    "make-of-lot": ({ lot }) => `Make it of ${typeof lot === "string" ? lot : "a lot"}`,
    resolve: ({ change }) => {
      const kind = isRecord(change) ? change.kind : undefined;
      return called(RESOLVED_WORDS, kind) ?? "Resolve what was cut";
    },
    "way-back": ({ way }) => called(WAY_BACK_EDITS, way) ?? "Way back",
    pull: ({ amounts }, design, units) => pullWords(amounts, design, units),
    "move-point": ({ name }) => `Move ${pointNamed(name)}`,
    "type-point": ({ name, path }) =>
      `${typeof path === "string" && path.endsWith(".diameterMm") ? "Resize" : "Move"} ${pointNamed(name)}`,
    "remove-point": ({ name }) => `Remove ${pointNamed(name)}`,
    "move-grip": () => "Move grip point",
  };

/** What an edit did, as undo and redo say it: "Move pin 2". One that another version kept may have no words of its own. */
export function editWords(edit: KeptEdit | AnyEdit, design: Design, units: UnitSystem): string {
  const { code } = edit;
  if (code === "noted") return ("says" in edit && typeof edit.says === "string" && edit.says) || "change";
  const words = own(
    WORDS as Readonly<Record<string, (edit: AnyEdit, design: Design, units: UnitSystem) => string>>,
    code,
  );
  try {
    return words?.(edit, design, units) ?? "change";
  } catch {
    // It names a kind that there is not here.
    return "change";
  }
}
