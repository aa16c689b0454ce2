import { isRecord } from "@/core/base/isRecord";
import { RECIPE_VERSION, type Recipe } from "@/core/plan/version";
import { sealedRows } from "./sealedRows";
import { keyText, type TableSpec } from "./spec";

/** How rows of recipes are read and written. */
export const recipeRows = sealedRows<Recipe>({
  field: "recipe",
  version: RECIPE_VERSION,
  schema: async () => (await import("@/core/plan/recipes")).recipeRecord as never,
});

/** The maker's own heat treatments. */
export const RECIPES: TableSpec = {
  name: "recipes",
  since: 8,
  indexes: "id, updatedAt",
  called: { one: "recipe", many: "recipes" },
  keyOf: (row) => keyText(row.id),
  readable: recipeRows.readable,
  nameOf: ({ recipe }) =>
    isRecord(recipe) && typeof recipe.name === "string" && recipe.name !== ""
      ? recipe.name.slice(0, 80)
      : null,
  atoms: ["recipe.normalise", "recipe.hardenC"],
};
