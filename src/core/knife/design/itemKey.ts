/**
 * What tells an item of a list from the others, wherever it stands: its id; of a list that has one of each kind, its kind.
 * Null of what goes by its place.
 */
export function itemKey(item: unknown): string | null {
  if (typeof item !== "object" || item === null) return null;
  const { id, kind } = item as { readonly id?: unknown; readonly kind?: unknown };
  if (typeof id === "string") return id;
  return typeof kind === "string" ? kind : null;
}
