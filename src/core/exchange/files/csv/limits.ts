/** A table of text may have so many bytes. */
export const LARGEST_TABLE_BYTES = 2_000_000;
