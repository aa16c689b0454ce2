import { radians } from "../../../base/number";
import { type Affine, after, SAME, shifted, stretched, turned } from "../../../geometry/curve/affine";
import { numbersIn } from "./numbers";

/** What each of a transform list's functions does, by its numbers; null of a wrong number of them. */
const FUNCTIONS: ReadonlyMap<string, (n: readonly number[]) => Affine | null> = new Map([
  ["matrix", (n: readonly number[]) => (n.length === 6 ? (n as unknown as Affine) : null)],
  ["translate", ([x, y = 0]: readonly number[]) => shifted(x, y)],
  ["scale", ([x, y = x]: readonly number[]) => stretched(x, y)],
  [
    "rotate",
    ([deg, x = 0, y = 0]: readonly number[]) => after(shifted(x, y), after(turned(deg), shifted(-x, -y))),
  ],
  ["skewX", ([deg]: readonly number[]): Affine => [1, 0, Math.tan(radians(deg)), 1, 0, 0]],
  ["skewY", ([deg]: readonly number[]): Affine => [1, Math.tan(radians(deg)), 0, 1, 0, 0]],
]);
/** Functions that one list has at most. */
const MOST_FUNCTIONS = 1000;

/** The map of a `transform` attribute; a part of it that cannot be read does nothing. */
export function transformOf(text: string | undefined): Affine {
  let map = SAME;
  let at = 0;
  for (let count = 0; text !== undefined && count < MOST_FUNCTIONS; count++) {
    const open = text.indexOf("(", at);
    const close = text.indexOf(")", open);
    if (open < 0 || close < 0) break;
    const name = text.slice(at, open).replaceAll(",", " ").trim();
    const numbers = numbersIn(text.slice(open + 1, close));
    const sound = numbers.length > 0 && numbers.every(Number.isFinite);
    const made = sound ? FUNCTIONS.get(name)?.(numbers) : null;
    if (made) map = after(map, made);
    at = close + 1;
  }
  return map;
}
