import { type Affine, after, SAME, shifted, stretched, turned } from "../../curve/affine";
import { radians } from "../../number";

/** What each of a transform list's functions does, by its numbers; null of a wrong number of them. */
const FUNCTIONS: Readonly<Record<string, (n: readonly number[]) => Affine | null>> = {
  matrix: (n) => (n.length === 6 ? (n as unknown as Affine) : null),
  translate: ([x, y = 0]) => shifted(x, y),
  scale: ([x, y = x]) => stretched(x, y),
  rotate: ([deg, x = 0, y = 0]) => after(shifted(x, y), after(turned(deg), shifted(-x, -y))),
  skewX: ([deg]) => [1, 0, Math.tan(radians(deg)), 1, 0, 0],
  skewY: ([deg]) => [1, Math.tan(radians(deg)), 0, 1, 0, 0],
};

/** The map of a `transform` attribute; a part of it that cannot be read does nothing. */
export function transformOf(text: string | undefined): Affine {
  let map = SAME;
  for (const [, name, args] of (text ?? "").matchAll(/(\w+)\s*\(([^)]*)\)/g)) {
    const numbers = args
      .split(/[\s,]+/)
      .filter(Boolean)
      .map(Number);
    const made = numbers.length > 0 && numbers.every(Number.isFinite) ? FUNCTIONS[name]?.(numbers) : null;
    if (made) map = after(map, made);
  }
  return map;
}
