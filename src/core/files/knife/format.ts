/** Marks a file as a knife of ours. @see docs/format.md */
export const KNIFE_FORMAT = "euaxis-knife";

/** Files and requests over this are refused unread: a real knife is about 4 kB. */
export const LARGEST_KNIFE_BYTES = 1_000_000;
