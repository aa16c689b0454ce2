export type { Grade, Line } from "./line";

/** A line's record is of this version: apart from what checks it, which is fetched when it is needed. */
export const LINE_VERSION = 1;
