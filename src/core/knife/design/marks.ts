import { own } from "../../base/own";
import { valueAt } from "../../base/record/path";
import { itemKey } from "./itemKey";
import type { Design } from "./schema";

/** Marks an item of a list by its id, in place of its number. */
const BY_ID = "#";

/**
 * The path by which a value is locked: items of lists by their ids, so that it means the same value when others come or
 * go. An item without an id keeps its number.
 */
export function markOf(design: Design, path: string): string {
  const keys = path.split(".");
  return keys
    .map((key, i) => {
      const list = i > 0 ? valueAt(design, keys.slice(0, i).join(".")) : null;
      const id = Array.isArray(list) ? itemKey(list[Number(key)]) : null;
      return id === null ? key : `${BY_ID}${id}`;
    })
    .join(".");
}

/** Whether the value at a path is locked. */
export const isLocked = (design: Design, path: string) => design.locked.includes(markOf(design, path));

/** The value that a lock holds; undefined where it is gone. */
function markedValue(design: Design, lock: string): unknown {
  return lock.split(".").reduce<unknown>((at, key) => {
    if (typeof at !== "object" || at === null) return undefined;
    if (key.startsWith(BY_ID) && Array.isArray(at)) return at.find((item) => itemKey(item) === key.slice(1));
    return own(at as Record<string, unknown>, key);
  }, design);
}

/** What the maker calls the item at a path; null where it has no name of its own. */
export const calledAt = (design: Design, path: string): string | null =>
  own(design.names, markOf(design, path)) ?? null;

/** Names of items that go by their place in a list, when one of them is taken out of it: those behind it move up. */
export function namesWithout(names: Design["names"], list: string, index: number): Design["names"] {
  const moved = Object.entries(names).flatMap(([mark, name]): [string, string][] => {
    const place = mark.startsWith(`${list}.`) ? Number(mark.slice(list.length + 1)) : -1;
    if (place < index) return [[mark, name]];
    return place === index ? [] : [[`${list}.${place - 1}`, name]];
  });
  return Object.fromEntries(moved);
}

/** The design without locks and names of what is gone: another that takes its id later is not meant. */
export function withoutStaleMarks(design: Design): Design {
  const locked = design.locked.filter((lock) => markedValue(design, lock) !== undefined);
  const names = Object.entries(design.names).filter(([mark]) => markedValue(design, mark) !== undefined);
  if (locked.length === design.locked.length && names.length === Object.keys(design.names).length)
    return design;
  return { ...design, locked, names: Object.fromEntries(names) };
}

/** Whether a change leaves every locked value as it is; one that is taken away is changed. */
export function keepsLocks(before: Design, after: Design): boolean {
  return before.locked.every((lock) => {
    const was = markedValue(before, lock);
    return was === undefined || JSON.stringify(was) === JSON.stringify(markedValue(after, lock));
  });
}

/** Whether a change leaves alone what was measured: the blade and the steel of the tang of a blade in the hand. */
export function keepsMeasured(before: Design, after: Design): boolean {
  const { measured } = before.blade;
  if (!measured) return true;
  const steelOf = ({ blade, tang }: Design): unknown => {
    if (tang.kind === "full") return [blade];
    return [blade, { ...tang, hole: null }];
  };
  return JSON.stringify(steelOf(before)) === JSON.stringify(steelOf(after));
}
