/** Marks a file as a knife of ours. @see docs/format.md */
export const KNIFE_FORMAT = "euaxis-knife";

/** Files and requests over this are refused unread: a knife is about 5 kB, and an imported shape 0.5 MB at most. */
export const LARGEST_KNIFE_BYTES = 4_000_000;

/** A knife file nests no deeper, and has no more names and values, whatever is in it. */
export const KNIFE_LIMITS = { depth: 24, keys: 50_000, values: 60_000 } as const;
