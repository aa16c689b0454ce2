import { own } from "@/core/base/own";
import { printLength, type UnitSystem } from "@/core/base/units/print";
import type { MaterialOf } from "@/core/materials/types";
import { capital, small } from "./grammar";

/** What a stretch of a path is called where its own words would not do. */
const NAMES: Readonly<Record<string, string>> = {
  frontBevel: "front bevel",
  rearBevel: "rear bevel",
  rearEnd: "rear end of the scales",
  bareMm: "bare tang",
  wraps: "wrap",
  meanLoss: "mean loss",
  halfMm: "half thickness",
  leftHalfMm: "half thickness, left",
  xMm: "along the knife",
  yMm: "over the axis",
  plan: "view from above",
  plates: "plate",
  pieces: "piece",
  liners: "liner",
  joints: "joint",
  rings: "ring",
  holes: "hole",
  slots: "slot",
  stages: "bit",
  fasteners: "",
  asWeighed: "as weighed",
  belowMm: "below the axis",
  aboveMm: "above the axis",
  bossMm: "flat middle",
  endShare: "thickness at the ends",
  knuckleBow: "knuckle bow",
  edgeMm: "edge",
  marks: "mark",
  says: "text",
  art: "outlines",
  have: "stock in hand",
};

/** What the name of a number ends in: its unit. */
export const UNIT_ENDING = /(Mm|Deg|Share|MPa|Min|G|N|H|C)$/;

/** The name of a field in words: "sweepAboveMm" as "sweep above". */
export function spelled(key: string): string {
  return (own(NAMES, key) ?? key.replace(UNIT_ENDING, "").replace(/([A-Z])/g, (c) => ` ${small(c)}`)).replace(
    /-/g,
    " ",
  );
}

/** An input of the record in a maker's words: "Handle, front bevel: length". */
export function inputWords(path: string): string {
  const keys = path.split(".");
  const last = spelled(keys[keys.length - 1]);
  const of = keys.slice(0, -1).map(spelled).filter(Boolean).join(", ");
  const text = of ? `${of}: ${last}` : last;
  return capital(text);
}

/** Its value in the maker's units; "none" where the knife has no such input. */
export function inputValueWords(
  path: string,
  value: unknown,
  units: UnitSystem,
  materialOf: MaterialOf,
): string {
  if (value === undefined || value === null) return "none";
  if (typeof value === "boolean") return value ? "yes" : "no";
  // Outlines are no text that anyone reads.
  if (path.endsWith(".art")) return "drawn";
  if (typeof value === "string") return materialOf(value)?.name ?? value.replace(/-/g, " ");
  if (typeof value !== "number") return "–";
  const key = path.slice(path.lastIndexOf(".") + 1);
  if (key.endsWith("Mm")) return printLength(value, units, 2);
  if (key.endsWith("Deg")) return `${value}°`;
  if (key.endsWith("Share") || key === "roundness" || key === "share") return `${Math.round(value * 100)} %`;
  return String(value);
}
