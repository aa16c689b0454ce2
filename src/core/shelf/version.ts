export type { Lot } from "./lot";

/** A lot's record is of this version: apart from what checks it, which is fetched when it is needed. */
export const LOT_VERSION = 1;
