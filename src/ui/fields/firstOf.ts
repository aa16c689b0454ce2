import type { Material } from "@/core/materials/types";

/** The same materials, favourites first, then those that were chosen last, then the rest as they were. */
export function firstOf(
  all: readonly Material[],
  favourites: readonly string[],
  recent: readonly string[],
): readonly Material[] {
  const first = [...new Set([...favourites, ...recent])].flatMap((id) => all.find((m) => m.id === id) ?? []);
  return [...first, ...all.filter((m) => !first.includes(m))];
}
