import type { ProductDesign } from "./product";

/** Another making of the same knife, kept beside it under a name of its own. */
export interface Variant<D extends ProductDesign = ProductDesign> {
  readonly name: string;
  readonly design: D;
}

/** So many can stand beside one knife. */
export const MOST_VARIANTS = 24;
