"use client";
import { nanoid } from "nanoid";
import type { Recipe } from "@/core/plan/version";
import { sealedTable } from "./sealedTable";
import { RECIPES, recipeRows } from "./tables/recipes";

const table = sealedTable(RECIPES, recipeRows);

/** The maker's own recipes, the oldest first; null before the database has answered. */
export function useRecipes(): readonly Recipe[] | null {
  return table.useRecords();
}

export async function addRecipe(recipe: Omit<Recipe, "id">): Promise<Recipe> {
  const made = { ...recipe, id: nanoid(12) };
  await table.add(made.id, made);
  return made;
}

export const changeRecipe = (id: string, by: (recipe: Recipe) => Recipe) => table.change(id, by);
export const removeRecipe = table.remove;
