import type { PlanRecord } from "@/core/plan/record";
import type { Together } from "@/core/schedule/schedule";

const of = (options: Intl.DateTimeFormatOptions) => new Intl.DateTimeFormat("en-GB", options);
const CLOCK = of({ hour: "2-digit", minute: "2-digit" });
const DAY = of({ weekday: "short", day: "numeric", month: "short" });

/** "09:30" */
export const clockWords = (ms: number): string => CLOCK.format(ms);
/** "Mon, 4 Jan" */
export const weekdayWords = (ms: number): string => DAY.format(ms);
/** "Mon, 4 Jan, 09:30" */
export const momentWords = (ms: number): string => `${weekdayWords(ms)}, ${clockWords(ms)}`;

/** Whether like tasks are done together. */
export const TOGETHER_WORDS: Readonly<Record<Together, string>> = {
  "if-no-later": "Where nothing is later for it",
  always: "Wherever it can be",
  never: "Never",
};

/** Why a task is not begun before a day. */
export const HOLD_WORDS: Readonly<Record<PlanRecord["holds"][string]["why"], string>> = {
  chosen: "I put it there",
  delivery: "what is ordered comes then",
  customer: "the customer answers then",
};
