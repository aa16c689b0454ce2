import { radians } from "../../../base/number";
import { type Affine, after, SAME, shifted, stretched, turned } from "../../../geometry/curve/affine";
import { lengthIn, type Viewport } from "./lengths";
import { NotUnderstood } from "./notUnderstood";
import { measureIn, numbersIn } from "./numbers";
import type { Declared } from "./styles";

const skewed = (xDeg: number, yDeg: number): Affine => [
  1,
  Math.tan(radians(yDeg)),
  Math.tan(radians(xDeg)),
  1,
  0,
  0,
];

/** What each of a transform list's functions does, by its numbers; null of a wrong number of them. */
const FUNCTIONS: ReadonlyMap<string, (n: readonly number[]) => Affine | null> = new Map([
  ["matrix", (n: readonly number[]) => (n.length === 6 ? (n as unknown as Affine) : null)],
  ["translate", (n: readonly number[]) => (n.length <= 2 ? shifted(n[0], n[1] ?? 0) : null)],
  ["scale", (n: readonly number[]) => (n.length <= 2 ? stretched(n[0], n[1] ?? n[0]) : null)],
  [
    "rotate",
    (n: readonly number[]) => {
      if (n.length !== 1 && n.length !== 3) return null;
      const [deg, x = 0, y = 0] = n;
      return after(shifted(x, y), after(turned(deg), shifted(-x, -y)));
    },
  ],
  ["skewX", (n: readonly number[]) => (n.length === 1 ? skewed(n[0], 0) : null)],
  ["skewY", (n: readonly number[]) => (n.length === 1 ? skewed(0, n[0]) : null)],
]);
/** Functions that one list has at most. */
const MOST_FUNCTIONS = 1000;

/** Names and what stands in their brackets; null of a text that is no list of functions. */
function callsIn(text: string): { readonly name: string; readonly inner: string }[] | null {
  const calls: { name: string; inner: string }[] = [];
  let at = 0;
  while (calls.length < MOST_FUNCTIONS) {
    const open = text.indexOf("(", at);
    if (open < 0) break;
    const close = text.indexOf(")", open);
    if (close < 0) return null;
    const name = text.slice(at, open).replaceAll(",", " ").trim();
    calls.push({ name, inner: text.slice(open + 1, close) });
    at = close + 1;
  }
  return text.slice(at).replaceAll(",", " ").trim() === "" ? calls : null;
}

/** The map of a `transform` attribute; a list with anything in it that cannot be read does nothing, as in browsers. */
export function transformOf(text: string | undefined): Affine {
  if (text === undefined) return SAME;
  let map = SAME;
  for (const { name, inner } of callsIn(text) ?? []) {
    const numbers = numbersIn(inner);
    const sound = numbers.length > 0 && numbers.every(Number.isFinite);
    const made = sound ? FUNCTIONS.get(name)?.(numbers) : null;
    if (!made) return SAME;
    map = after(map, made);
  }
  return map;
}

/** Degrees in a unit of angles. @see CSS Values and Units 3, 7.1 */
const DEG: ReadonlyMap<string, number> = new Map([
  ["deg", 1],
  ["grad", 0.9],
  ["rad", 180 / Math.PI],
  ["turn", 360],
]);

/** Properties that move what is drawn, in the order in which they act. */
const MOVING = ["translate", "rotate", "scale", "transform"] as const;

/**
 * The map of an element whose style moves it; null where no style does, so that its attribute holds. Throws
 * `NotUnderstood` of what is not of the plane, and of what goes by the element's own box.
 * @see CSS Transforms 1, 8 and 13; CSS Transforms 2, 5 (from memory).
 */
export function styledTransform(
  declared: Declared,
  attributes: Readonly<Record<string, string | undefined>>,
  viewport: Viewport,
): Affine | null {
  const said = MOVING.flatMap((property) => {
    const value = declared.get(property);
    return value === undefined ? [] : [{ property, value }];
  });
  if (said.length === 0 && attributes["transform-origin"] === undefined) return null;
  const own = declared.has("transform") ? SAME : transformOf(attributes.transform);
  const maps = said.map(({ property, value }) =>
    value === "none"
      ? SAME
      : property === "transform"
        ? listMap(value, viewport)
        : called(property, partsOf(value), viewport),
  );
  const map = after(maps.reduce(after, SAME), own);
  if (map.every((n, i) => n === SAME[i])) return SAME;
  const [x, y] = originOf(declared, attributes, viewport);
  return after(shifted(x, y), after(map, shifted(-x, -y)));
}

function listMap(text: string, viewport: Viewport): Affine {
  const calls = callsIn(text);
  if (!calls) throw new NotUnderstood(`transform: ${text}`);
  return calls.map(({ name, inner }) => called(name, partsOf(inner), viewport)).reduce(after, SAME);
}

const partsOf = (text: string): string[] => text.split(/[\s,]+/).filter((part) => part !== "");

function called(name: string, parts: readonly string[], viewport: Viewport): Affine {
  const unread = () => new NotUnderstood(`${name}(${parts.join(", ")})`);
  const [a, b] = parts;
  const most = name === "matrix" ? 6 : /^(translate|scale|skew)$/.test(name) ? 2 : 1;
  if (parts.length === 0 || parts.length > most) throw unread();
  switch (name) {
    case "matrix": {
      const n = parts.map(Number);
      if (n.length !== 6 || !n.every(Number.isFinite)) throw unread();
      return n as unknown as Affine;
    }
    case "translate":
      return shifted(lengthIn(a, "x", viewport), lengthIn(b, "y", viewport));
    case "translateX":
      return shifted(lengthIn(a, "x", viewport), 0);
    case "translateY":
      return shifted(0, lengthIn(a, "y", viewport));
    case "scale":
      return stretched(factor(a, unread), factor(b ?? a, unread));
    case "scaleX":
      return stretched(factor(a, unread), 1);
    case "scaleY":
      return stretched(1, factor(a, unread));
    case "rotate":
      return turned(angle(a, unread));
    case "skew":
      return skewed(angle(a, unread), b === undefined ? 0 : angle(b, unread));
    case "skewX":
      return skewed(angle(a, unread), 0);
    case "skewY":
      return skewed(0, angle(a, unread));
    default:
      throw unread();
  }
}

function factor(text: string, unread: () => NotUnderstood): number {
  const measure = measureIn(text);
  if (!measure || !["", "%"].includes(measure.unit)) throw unread();
  return measure.unit === "%" ? measure.value / 100 : measure.value;
}

function angle(text: string, unread: () => NotUnderstood): number {
  const measure = measureIn(text);
  if (measure?.value === 0 && measure.unit === "") return 0;
  const deg = measure && DEG.get(measure.unit.toLowerCase());
  if (!measure || deg === undefined || deg === null) throw unread();
  return measure.value * deg;
}

/** Where an origin's words stand in a box, as shares of it. */
const PLACES: ReadonlyMap<string, number> = new Map([
  ["left", 0],
  ["top", 0],
  ["center", 0.5],
  ["right", 1],
  ["bottom", 1],
]);

/** The place that a style turns and enlarges about: the beginning of the coordinates, where it does not say. */
function originOf(
  declared: Declared,
  attributes: Readonly<Record<string, string | undefined>>,
  viewport: Viewport,
): readonly [number, number] {
  const said = declared.get("transform-origin") ?? attributes["transform-origin"];
  if (said === undefined) return [0, 0];
  const parts = partsOf(said);
  const box = declared.get("transform-box") ?? attributes["transform-box"] ?? "view-box";
  const goesByBox = parts.some((part) => part.endsWith("%") || PLACES.has(part)) || parts.length < 2;
  if (box !== "view-box" && goesByBox) throw new NotUnderstood(`transform-box: ${box}`);
  if (parts.length > 2 && !/^0(px)?$/.test(parts[2])) throw new NotUnderstood(`transform-origin: ${said}`);
  const upright = (part: string) => part === "top" || part === "bottom";
  const [first, second = "center"] = parts;
  const [x, y] =
    upright(first) || second === "left" || second === "right" ? [second, first] : [first, second];
  const place = (part: string, along: "x" | "y"): number => {
    const share = PLACES.get(part);
    return lengthIn(share === undefined ? part : `${share * 100}%`, along, viewport);
  };
  return [place(x, "x"), place(y, "y")];
}
