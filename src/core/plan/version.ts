export type { Recipe } from "./recipes";
export type { PlanRecord } from "./record";

/** A plan's record is of this version, and a recipe's of that: apart from what checks them, which is fetched when it is needed. */
export const PLAN_VERSION = 3;
export const RECIPE_VERSION = 1;
