import { own } from "../own";
/** The value at a dotted path, such as "guard.plates.0.material"; undefined where the path leads nowhere. */
export function valueAt(root: unknown, path: string): unknown {
  return path.split(".").reduce<unknown>((at, key) => {
    if (typeof at !== "object" || at === null) return undefined;
    return own(at as Record<string, unknown>, key);
  }, root);
}

/** Writes the value at a dotted path of a draft; false, and nothing changed, where the path leads nowhere. */
export function putAt(root: unknown, path: string, value: unknown): boolean {
  const keys = path.split(".");
  const last = keys.pop();
  const holder = keys.length > 0 ? valueAt(root, keys.join(".")) : root;
  if (typeof holder !== "object" || holder === null || last === undefined || !Object.hasOwn(holder, last))
    return false;
  (holder as Record<string, unknown>)[last] = value;
  return true;
}

/**
 * A record with the value at a dotted path, sharing with it all that is not on the way there; null where the path leads
 * nowhere.
 */
export function withValueAt<T>(root: T, path: string, value: unknown): T | null {
  const [key, ...rest] = path.split(".");
  if (typeof root !== "object" || root === null || !Object.hasOwn(root, key)) return null;
  const at = own(root as Readonly<Record<string, unknown>>, key);
  const inner = rest.length === 0 ? value : withValueAt(at, rest.join("."), value);
  if (rest.length > 0 && inner === null) return null;
  return (
    Array.isArray(root)
      ? root.map((item, i) => (String(i) === key ? inner : item))
      : { ...root, [key]: inner }
  ) as T;
}

type Plain = string | number | boolean | null | undefined;

/** A step into a record or a list, and on from there; a field that may be null is stepped into as if it were not. */
type Step<K extends string, T, V> =
  | (NonNullable<T> extends V ? K : never)
  | `${K}.${PathTo<NonNullable<T>, V>}`;

/**
 * The dotted paths of a record that lead to a value of a type, whichever kind each part of it is of: items of lists by their
 * number, fields of maps by any name.
 */
export type PathTo<T, V = unknown> = T extends Plain
  ? never
  : T extends readonly (infer E)[]
    ? Step<`${number}`, E, V>
    : { [K in keyof T & string]: Step<K, T[K], V> }[keyof T & string];
