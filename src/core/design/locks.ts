import { valueAt } from "./path";
import type { Design } from "./schema";

/** Marks an item of a list by its id, in place of its number. */
const BY_ID = "#";

/**
 * The path by which a value is locked: items of lists by their ids, so that it means the same value when others come or
 * go. An item without an id keeps its number.
 */
export function lockOf(design: Design, path: string): string {
  const keys = path.split(".");
  return keys
    .map((key, i) => {
      const list = i > 0 ? valueAt(design, keys.slice(0, i).join(".")) : null;
      const item: unknown = Array.isArray(list) ? list[Number(key)] : null;
      const id = typeof item === "object" && item !== null && "id" in item ? item.id : null;
      return typeof id === "string" ? `${BY_ID}${id}` : key;
    })
    .join(".");
}

/** Whether the value at a path is locked. */
export const isLocked = (design: Design, path: string) => design.locked.includes(lockOf(design, path));

/** The value that a lock holds; undefined where it is gone. */
function lockedValue(design: Design, lock: string): unknown {
  return lock.split(".").reduce<unknown>((at, key) => {
    if (typeof at !== "object" || at === null) return undefined;
    if (key.startsWith(BY_ID) && Array.isArray(at)) return at.find((item) => item?.id === key.slice(1));
    return (at as Record<string, unknown>)[key];
  }, design);
}

/** Whether a change leaves every locked value as it is; one that is taken away is changed. */
export function keepsLocks(before: Design, after: Design): boolean {
  return before.locked.every((lock) => {
    const was = lockedValue(before, lock);
    return was === undefined || JSON.stringify(was) === JSON.stringify(lockedValue(after, lock));
  });
}

/** Whether a change leaves alone what was measured: the blade and the steel of the tang of a blade in the hand. */
export function keepsMeasured(before: Design, after: Design): boolean {
  const { measured } = before.blade;
  if (!measured) return true;
  const steelOf = ({ blade, tang }: Design): unknown => {
    if (tang.kind === "full") return [blade];
    const { hole: _, ...bar } = tang;
    return [blade, bar];
  };
  return JSON.stringify(steelOf(before)) === JSON.stringify(steelOf(after));
}
