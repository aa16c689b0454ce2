import type { PlannedTask } from "@/core/plan/state";
import type { TaskKind } from "@/core/plan/taskKinds";
import type { Reason, Task } from "@/core/plan/types";
import { cutName } from "./parts";

/** What each task is, as it is told to whoever does it. */
const TASK_WORDS: Readonly<Record<TaskKind, string>> = {
  profile: "Grind the outline of blade and tang",
  "weld-tang": "Weld what goes on to the tang",
  "file-tang": "Bring the tang to its sizes",
  "soften-tang": "Draw the tang soft, the edge kept cold",
  "drill-tang": "Drill and chamfer the tang",
  "check-holes": "Burrs off, and pins slide dry",
  "hammer-flats": "Hammer the flats",
  "stamp-mark": "Stamp the mark",
  "grind-soft": "Grind the bevels rough, the edge left thick",
  normalise: "Normalise, two or three times",
  harden: "Harden",
  cold: "Into the cold",
  temper: "Temper, two cycles",
  "check-hardness": "Try the hardness by a file",
  "check-straight": "Look whether it is straight",
  "grind-bevels": "Grind the bevels to their sizes",
  "surface-blade": "Finish the blade's surface",
  buff: "Buff the blade",
  "acid-etch": "Etch the blade in acid, neutralise and clean",
  tumble: "Tumble the blade",
  darken: "Darken the blade, neutralise and oil",
  etch: "Etch the mark",
  "inspect-blade": "Look over the blade in the hand: edge, straightness, hardness",
  "tape-blade": "Tape the blade",
  "weld-guard": "Weld the sheets of the guard",
  "slot-guard": "Cut the guard's slot",
  "fit-guard": "Fit the guard to the blade, a file-stroke tight",
  "check-guard": "Look whether the guard sits square, the blade in line",
  "shape-guard": "Shape and finish the guard",
  "saw-piece": "Saw",
  "fit-bolsters": "Fit and finish the bolsters' joints",
  "fit-segments": "Fit the joints of the scales, left and right in line",
  "drill-one-pass": "Drill tang and scales in one pass, in the jig",
  "drill-scales": "Drill the scale through the tang",
  "front-faces": "Finish the front faces to the last grit",
  "check-faces": "Look whether front faces are level, left and right marked",
  counterbore: "Counterbore the seats",
  "glue-first": "Glue on the first scale",
  "drill-block": "Make the hole for the tang",
  "burn-in": "Burn the tang in",
  "fit-block": "Fit the handle to tang and guard",
  "drill-pins": "Drill the cross holes",
  "thread-tang": "Cut the thread",
  "fit-end": "Fit what ends the handle",
  "dry-fit": "Put it together dry; weigh and balance it",
  degrease: "Roughen and degrease what is glued",
  "glue-handle": "Mix, glue and clamp",
  "carry-indoors": "Carry it indoors, clamped as it is, to where the glue sets",
  "check-in-line": "Sight along it, from the side and from above, while the glue is wet",
  "clean-squeeze-out": "Wipe off what was squeezed out: ricasso, guard, front faces",
  cure: "Let it cure",
  assemble: "Screw it together",
  peen: "Peen the pins",
  "flush-pins": "Grind the pins flush, water at hand",
  contour: "Profile, taper and contour the handle",
  "groove-handle": "Cut the grooves",
  "sand-handle": "Sand the handle",
  "finish-handle": "Oil or wax the handle",
  "wind-wrap": "Wind the wrap",
  straighten: "Heat it, clamp it straight and temper it so",
  anneal: "Grind the edge back, then anneal the whole blade",
  "fill-holes": "Weld or plug the hole that is not wanted, and file it flush",
  "pry-off": "Warm what is glued until it lets go, and pry it off",
  "fit-spacer": "Cut a spacer for the gap",
  "close-slot": "Close the slot with solder, and file it to the tang",
  sharpen: "Sharpen",
  "weigh-and-log": "Weigh and balance the finished knife, and note it",
};

/** Why one task waits for another. */
const REASON_WORDS: Readonly<Record<Reason, string>> = {
  "marked-out-first": "it is marked out by what was cut before",
  "soft-steel": "steel is drilled, filed and stamped while it is soft",
  "alike-when-hardened": "what is one piece is heated as one",
  "tempered-soon": "hard steel that waits for its temper cracks",
  "edge-left": "a thin edge warps or cracks in the quench",
  "cold-before-temper": "the cold finishes the hardening",
  "straight-first": "a blade that has to be straightened moves its holes and its seat",
  "shape-first": "the shape before what is fitted to it",
  "slot-follows-tang": "the slot is cut to the tang as it is",
  "finished-before-guard": "behind a guard the blade is out of reach",
  "blade-through-guard": "the guard goes on from the butt",
  "guard-before-holes": "handle holes drilled before the guard leave a gap at it",
  "seat-moves": "hardening and grinding move the seat",
  "pin-before-next": "each finished hole has its pin before the next is drilled",
  "through-the-first": "the second is drilled through the first, or it is off line",
  "held-by-glue": "it is drilled through what is glued on",
  "faces-unreachable": "front faces are out of reach once they are glued",
  "joints-aligned": "joints on both sides are in line before anything is drilled",
  "seats-from-face": "seats are measured from the finished face",
  "bore-before-fit": "the hole before what goes into it",
  "unhardened-tang": "a tang is burned in while it is not hardened: burning would soften it",
  "thread-soft": "a thread is cut into soft steel",
  "last-fit-first": "a thread, and cross holes, after the last fit",
  "last-chance": "the dry fit is the last cheap chance: all that is not fixed yet is in it",
  "clean-joint": "glue holds on clean faces alone",
  "too-cold": "the shop is colder than the glue sets in",
  "pot-life": "within the pot life: later it is scraped off",
  cured: "glue cures before it is ground or hammered",
  "peen-shapes": "peened heads are taken down with the handle",
  "flush-first": "pins flush before the shape, or they stay proud",
  "smooth-first": "each grit after the one before",
  "covered-last": "what covers comes after what it covers",
  "etch-after-grind": "grinding takes an etch off again",
  "deep-mark-first": "a mark is cut deep before the whole face is etched",
  "blade-taped": "a bare blade is scratched, and cuts",
  "sharp-last": "a sharp blade is worked on no more",
  "everything-on": "all of it together",
  "way-back": "what failed is put right first",
  "as-you-say": "you put it there",
};

const SIDE_WORDS = { right: "right side", left: "left side" } as const;

/** A kind of task in words. */
export const kindWords = (kind: TaskKind): string => TASK_WORDS[kind];

/** A task in words, with what it is done to. */
export function taskWords({ kind, of }: Pick<Task, "kind" | "of">): string {
  const words = kindWords(kind);
  if (!of) return words;
  if (of.kind === "side") return `${words}, ${SIDE_WORDS[of.side]}`;
  if (of.kind === "number") return `${words} ${of.number}`;
  return `${words}: ${cutName(of.piece)}`;
}

/** What a task is called: by its kind, or as its maker calls it. */
export const plannedWords = ({ kind, title, of }: Pick<PlannedTask, "kind" | "title" | "of">): string =>
  kind === null ? (title ?? "") : taskWords({ kind, of });

export const reasonWords = (reason: Reason): string => REASON_WORDS[reason];
