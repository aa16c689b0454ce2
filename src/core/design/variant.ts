import type { Design } from "./schema";

/** Another making of the same knife, kept beside it under a name of its own. */
export interface Variant {
  readonly name: string;
  readonly design: Design;
}

/** So many can stand beside one knife. */
export const MOST_VARIANTS = 24;
