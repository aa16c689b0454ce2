/** What the longest outline of a pattern may measure, mm: what is longer was read in a wrong unit. */
export const LONGEST_MM = 1800;
/** What a part's outline measures at least, mm. */
export const SHORTEST_MM = 20;
