import { numberEnd, numbersIn } from "./numbers";

/** How what an element draws is seen, as far as lines go: handed down from element to element. */
export interface Painted {
  readonly fill: string;
  /** Whether anything says that areas are filled, not only that nothing says otherwise. */
  readonly isFillSaid: boolean;
  readonly stroke: string;
  readonly fillOpacity: number;
  readonly strokeOpacity: number;
  /** Whether a stroke has any width. */
  readonly hasWidth: boolean;
  readonly isVisible: boolean;
}

/** @see SVG 2, 13.3, 13.5 and 11.8: what holds where nothing is said (from memory). */
export const UNTOUCHED: Painted = {
  fill: "black",
  isFillSaid: false,
  stroke: "none",
  fillOpacity: 1,
  strokeOpacity: 1,
  hasWidth: true,
  isVisible: true,
};

const INITIAL: ReadonlyMap<string, string> = new Map([
  ["fill", "black"],
  ["stroke", "none"],
  ["fill-opacity", "1"],
  ["stroke-opacity", "1"],
  ["stroke-width", "1"],
  ["visibility", "visible"],
]);

/** Reads one property of an element, from its style first, then its attributes. */
export type Property = (name: string) => string | undefined;

/** A share, as 0.5 or 50%; `otherwise` of what is none. */
function shareIn(text: string | undefined, otherwise: number): number {
  const clean = (text ?? "").trim();
  const end = numberEnd(clean, 0);
  const unit = clean.slice(end);
  if (end === 0 || !["", "%"].includes(unit)) return otherwise;
  return Number(clean.slice(0, end)) / (unit === "%" ? 100 : 1);
}

/** What is handed down to an element's children, and holds for its own lines. */
export function paintedBy(property: Property, outer: Painted): Painted {
  const said = (name: string): string | undefined => {
    const value = property(name)?.trim();
    if (value === "initial") return INITIAL.get(name);
    return value === undefined || value === "" || value === "inherit" || value === "unset"
      ? undefined
      : value;
  };
  const width = said("stroke-width");
  const visibility = said("visibility");
  return {
    fill: said("fill") ?? outer.fill,
    isFillSaid: outer.isFillSaid || said("fill") !== undefined,
    stroke: said("stroke") ?? outer.stroke,
    fillOpacity: shareIn(said("fill-opacity"), outer.fillOpacity),
    strokeOpacity: shareIn(said("stroke-opacity"), outer.strokeOpacity),
    hasWidth: width === undefined ? outer.hasWidth : !(Number.parseFloat(width) <= 0),
    isVisible: visibility === undefined ? outer.isVisible : visibility === "visible",
  };
}

/** Whether an element and all that is in it is drawn at all: why not, else null. */
export function undrawn(property: Property): "not-displayed" | "transparent" | null {
  if (property("display")?.trim() === "none") return "not-displayed";
  return shareIn(property("opacity"), 1) <= 0 ? "transparent" : null;
}

/** Whether a paint leaves anything to see. */
function covers(paint: string, opacity: number): boolean {
  if (!(opacity > 0)) return false;
  const text = paint.toLowerCase();
  if (text === "none" || text === "transparent") return false;
  const hex = /^#(?:[0-9a-f]{3}([0-9a-f])|[0-9a-f]{6}([0-9a-f]{2}))$/.exec(text);
  if (hex) return Number.parseInt(hex[1] ?? hex[2], 16) > 0;
  const [, inner] = text.split("(", 2);
  if (inner === undefined || text.startsWith("url(")) return true;
  const numbers = inner.replace(")", "");
  const alpha = numbers.includes("/") ? numbers.split("/")[1] : numbers.split(",")[3];
  return shareIn(alpha, 1) > 0;
}

/** Parts of a colour from which it is a page's and no piece's, of 255. */
const LIGHT = 224;

/** Whether a paint is white or nearly so, as far as it is told by its name or its numbers. */
export function isLight(paint: string): boolean {
  const text = paint.toLowerCase();
  if (text === "white" || text === "snow" || text === "ivory") return true;
  const hex = /^#(?:[0-9a-f]{3}|[0-9a-f]{6})$/.test(text) ? text.slice(1) : null;
  const parts = hex
    ? [0, 1, 2].map((i) =>
        Number.parseInt(hex.length === 3 ? hex[i] + hex[i] : hex.slice(2 * i, 2 * i + 2), 16),
      )
    : text.startsWith("rgb(")
      ? numbersIn(text.slice(4))
      : [];
  return parts.length === 3 && parts.every((part) => part >= LIGHT);
}

/** What of a line is seen: its area, its stroke, or why nothing is. */
export type Seen = { readonly fill: boolean; readonly stroke: boolean } | "marked-invisible" | "no-paint";

export function seenOf(painted: Painted): Seen {
  if (!painted.isVisible) return "marked-invisible";
  const fill = covers(painted.fill, painted.fillOpacity);
  const stroke = painted.hasWidth && covers(painted.stroke, painted.strokeOpacity);
  return fill || stroke ? { fill, stroke } : "no-paint";
}
