/** What is used up besides what a knife is made of. */
export const SUPPLIES = [
  "acid",
  "belts",
  "film-tape",
  "oil-finish",
  "paper-120",
  "paper-220",
  "paper-320",
  "paper-400",
  "paper-600",
  "quench-oil",
  "soda",
  "solvent",
  "vinegar",
] as const;
export type Supply = (typeof SUPPLIES)[number];
export type SupplyUnit = "ml" | "g" | "m" | "each";

/** What each is measured in, and whether several knives share it, as they do a bath, or each uses up its own. */
export const SUPPLY_SPECS: Readonly<Record<Supply, { readonly unit: SupplyUnit; readonly shared: boolean }>> =
  {
    acid: { unit: "ml", shared: true },
    belts: { unit: "each", shared: false },
    "film-tape": { unit: "m", shared: false },
    "oil-finish": { unit: "ml", shared: false },
    "paper-120": { unit: "each", shared: false },
    "paper-220": { unit: "each", shared: false },
    "paper-320": { unit: "each", shared: false },
    "paper-400": { unit: "each", shared: false },
    "paper-600": { unit: "each", shared: false },
    "quench-oil": { unit: "ml", shared: true },
    soda: { unit: "g", shared: true },
    solvent: { unit: "ml", shared: false },
    vinegar: { unit: "ml", shared: true },
  };
