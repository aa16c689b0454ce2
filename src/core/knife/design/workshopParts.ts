/** What a shop has and how it works, part by part: a knife may say otherwise of each. */
export const WORKSHOP_PARTS = [
  "drills",
  "cuttersMm",
  "grinders",
  "glue",
  "shopC",
  "saw",
  "handMm",
  "heatSources",
] as const;
export type WorkshopPart = (typeof WORKSHOP_PARTS)[number];

/** What steel is heated in. */
export const HEAT_SOURCE_KINDS = ["torch", "forge", "oven"] as const;

export const DRILL_SETS = ["fraction", "number", "letter", "metric"] as const;
export type DrillSet = (typeof DRILL_SETS)[number];

/** What a printer makes of 100 mm, mm: least and most. What is farther off was scaled to fit, or measured wrong. */
export const PRINTER_LIMITS = [90, 110] as const;

/** How long what is glued waits at least before it is ground, h. Common practice, no source. */
export const LEAST_CURE_LIMITS_H = [12, 200] as const;

/** So many stretches of work may a day have. */
export const MOST_STRETCHES = 4;

/** So many letters may a workshop's name have. */
export const MOST_LETTERS = 60;
