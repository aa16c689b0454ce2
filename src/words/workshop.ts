import type { WorkshopPart } from "@/core/knife/design/schema";
import type { HEAT_SOURCE_KINDS } from "@/core/knife/design/workshopParts";

/** What each part of a workshop is called in a sentence. */
export const PART_WORDS: Record<WorkshopPart, string> = {
  drills: "drills",
  cuttersMm: "end mills",
  grinders: "wheels and files",
  glue: "glue",
  shopC: "temperature",
  saw: "saw kerf and allowance",
  handMm: "breadth of the hand",
  heatSources: "heat sources",
};

export const HEAT_SOURCE_WORDS: Record<(typeof HEAT_SOURCE_KINDS)[number], string> = {
  torch: "Torch",
  forge: "Forge",
  oven: "Oven",
};

/** Days of a week, Monday first. */
export const WEEKDAYS = [
  "Monday",
  "Tuesday",
  "Wednesday",
  "Thursday",
  "Friday",
  "Saturday",
  "Sunday",
] as const;
