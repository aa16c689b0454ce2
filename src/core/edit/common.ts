import { own } from "../base/own";
import { valueAt } from "../base/record/path";
import type { EditOf } from "./table";

type Container = Readonly<Record<string, unknown>> | readonly unknown[];

const isContainer = (value: unknown): value is Container => typeof value === "object" && value !== null;

/** A copy of a record or a list with one of its fields or items replaced; what did not change stays the very same. */
function replaced<C extends Container>(container: C, key: string, to: unknown): C {
  if (!Array.isArray(container)) return { ...container, [key]: to };
  const copy = [...container];
  copy[Number(key)] = to;
  return copy as unknown as C;
}

/** What stands at a path changed by a function; the same record where the path leads nowhere. */
function changedAt<D>(design: D, path: string, by: (value: unknown) => unknown): D {
  const at = (value: unknown, [key, ...rest]: readonly string[]): unknown => {
    if (key === undefined) return by(value);
    if (!isContainer(value) || !Object.hasOwn(value, key)) return value;
    const before = own(value as Readonly<Record<string, unknown>>, key);
    const after = at(before, rest);
    return after === before ? value : replaced(value, key, after);
  };
  return at(design, path.split(".")) as D;
}

/** The list at a path changed by a function that is given a copy; the same record where no list is there. */
const changedList = <D>(design: D, path: string, by: (list: unknown[]) => void): D =>
  changedAt(design, path, (value) => {
    if (!Array.isArray(value)) return value;
    const copy = [...value];
    by(copy);
    return copy;
  });

const isIn = (list: readonly unknown[], at: number) => Number.isInteger(at) && at >= 0 && at < list.length;

/** Edits that every product's design takes. Paths are dotted, such as "guard.plates.0.thicknessMm". */
export const COMMON_EDITS = {
  /** One value in the place of another. */
  set: <D>(design: D, { path, to }: { readonly path: string; readonly to: unknown }): D =>
    changedAt(design, path, () => to),
  /** Something put where nothing was. */
  put: <D>(design: D, { path, item }: { readonly path: string; readonly item: object | number }): D =>
    changedAt(design, path, () => item),
  /** What may be there or not taken away. */
  clear: <D>(design: D, { path }: { readonly path: string }): D => changedAt(design, path, () => null),
  /** An item more in a list, at its end or at a place; `kind` says for the words what it is, where there are several. */
  add: <D>(
    design: D,
    {
      list,
      item,
      at,
    }: { readonly list: string; readonly item: unknown; readonly at?: number; readonly kind?: string },
  ): D => changedList(design, list, (items) => items.splice(at ?? items.length, 0, item)),
  /** An item of a list taken out. */
  remove: <D>(
    design: D,
    { list, at }: { readonly list: string; readonly at: number; readonly kind?: string },
  ): D => {
    const items = valueAt(design, list);
    if (!Array.isArray(items) || !isIn(items, at)) return design;
    return changedList(design, list, (copy) => copy.splice(at, 1));
  },
  /** An item of a list moved to another place in it. */
  reorder: <D>(
    design: D,
    { list, from, to }: { readonly list: string; readonly from: number; readonly to: number },
  ): D => {
    const items = valueAt(design, list);
    if (!Array.isArray(items) || !isIn(items, from) || !isIn(items, to)) return design;
    return changedList(design, list, (copy) => copy.splice(to, 0, ...copy.splice(from, 1)));
  },
  /** What a map of a design says under a name; null takes the name out of it. */
  entry: <D>(
    design: D,
    { map, key, to }: { readonly map: string; readonly key: string; readonly to: number | string | null },
  ): D =>
    changedAt(design, map, (value) => {
      if (!isContainer(value)) return value;
      const others = Object.entries(value).filter(([k]) => k !== key);
      return Object.fromEntries(to === null ? others : [...others, [key, to]]);
    }),
  /** A whole design in the place of this one. */
  "take-reference": <D>(_: D, { design }: { readonly design: D }): D => design,
  "take-other-tab": <D>(_: D, { design }: { readonly design: D }): D => design,
  "take-variant": <D>(_: D, { design }: { readonly design: D; readonly name: string }): D => design,
};

type Common = typeof COMMON_EDITS;
export type CommonEdit = EditOf<Common>;
