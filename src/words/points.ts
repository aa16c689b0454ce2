import { own } from "@/core/base/own";
import type { CountedPoint, CurveName, OnePoint, PieceName, PointName } from "@/core/edit/points/types";
import { NOTCH_WORDS } from "./blade";
import { itemWords } from "./fasteners";
import { FITTING_WORDS } from "./fittings";
import { numbered, pieceWords } from "./parts";
import { TANG_END_WORDS } from "./tangEnds";

const ONE: Readonly<Record<OnePoint, string>> = {
  tip: "Tip",
  heel: "Heel",
  ricasso: "Ricasso",
  drop: "Spine runs out from here",
  belly: "Belly begins here",
  "shoulder-top": "Spine at the shoulder",
  "shoulder-bottom": "Edge at the shoulder",
  plunge: "Plunge line",
  ridge: "Ridge",
  face: "Height of the ground face",
  spine: "Spine's thickness",
  "spine-tip": "Spine at the tip",
  swedge: "False edge",
  ramp: "Thumb ramp's crest",
  "bolster-front": "Bolster's front",
  "bolster-width": "Bolster's width",
  "bolster-above": "Bolster above the axis",
  "bolster-below": "Bolster below the axis",
  "guard-top": "Guard's upper end",
  "guard-bottom": "Guard's lower end",
  "guard-middle": "End of the guard's middle",
  "guard-width": "Guard's width",
  lean: "Lean of the joint",
  "front-bolster": "Front bolster's joint",
  "rear-bolster": "Rear bolster's joint",
  waist: "Waist",
  "waist-end": "Waist's front end",
  "scale-end": "Scales end here",
  "tang-end": "End of the tang",
  "tang-front": "Tang at the front",
  "tang-butt": "Tang at the butt",
  "tang-end-height": "Tang's height at its end",
  "tang-front-thickness": "Tang's thickness at the front",
  "tang-end-thickness": "Tang's thickness at its end",
  "recess-front": "Front of the recess",
  "hole-bottom": "Bottom of the hole",
};

const COUNTED: Readonly<Record<CountedPoint, (number: number) => string>> = {
  "on-spine": (n) => `Spine, point ${n}`,
  "on-edge": (n) => `Edge, point ${n}`,
  "on-face": (n) => `Ground face, point ${n}`,
  "on-taper": (n) => `Taper, point ${n}`,
  mark: (n) => `Mark ${n}`,
  fuller: (n) => `Fuller ${n}`,
  "fuller-beginning": (n) => `Fuller ${n}, beginning`,
  "fuller-end": (n) => `Fuller ${n}, end`,
  groove: (n) => `Groove ${n}`,
  joint: (n) => `Joint ${n}`,
  ring: (n) => `Finger ring ${n}`,
};

const CURVE_WORDS: Readonly<Record<CurveName, string>> = {
  lengthwise: "Joint along the handle",
  front: "Front halves",
  rear: "Rear halves",
};

const pieceNamed = ({ role, naming }: PieceName) => pieceWords(role, naming);

/** What a point on the drawing is called. */
export function pointWords(name: PointName): string {
  switch (name.point) {
    case "plate":
      return name.number === null ? "Guard's rear face" : `Rear of plate ${name.number}`;
    case "wrap-beginning":
      return `${numbered("Wrap", name.number)} begins here`;
    case "wrap-end":
      return `${numbered("Wrap", name.number)} ends here`;
    case "notch":
      return NOTCH_WORDS[name.purpose];
    case "item":
      return name.item ? itemWords(name.item) : "Hole";
    case "slot-end":
      return `${name.item ? itemWords(name.item) : "Slot"}: end`;
    case "on-curve":
      return `${CURVE_WORDS[name.curve]}, point ${name.number}`;
    case "fitting":
      return FITTING_WORDS[name.fitting].point;
    case "held-by":
      return own(TANG_END_WORDS[name.end].points, name.of)?.title ?? TANG_END_WORDS[name.end].name;
    case "piece":
      return `${pieceNamed(name.piece)}: ${name.end}`;
    case "piece-shape":
      return name.of === "size"
        ? `${pieceNamed(name.piece)}'s size`
        : `${pieceNamed(name.piece)}: ${name.of}`;
    default:
      return "number" in name ? COUNTED[name.point](name.number) : ONE[name.point];
  }
}
