/** Grades that one line may have. */
export const MOST_GRADES = 12;
/** What one is to sell for, in the shop's own currency. */
export const PRICE_LIMITS = { min: 0, max: 1_000_000 } as const;
