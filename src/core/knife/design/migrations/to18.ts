import { isRecord } from "../../../base/isRecord";
import type { Migrations } from "./steps";
import { WORKSHOP_MIGRATIONS as TO_17 } from "./to17";

/** Until version 18 a day had one stretch of work, or none. */
const asStretches = (hours: unknown): unknown =>
  Array.isArray(hours) ? hours.map((day) => (day === null ? [] : [day])) : hours;

/** A maker's workshops, which are kept by themselves: from the version that their rows name. Knives stay as they were. */
export const WORKSHOP_MIGRATIONS: Migrations = {
  ...TO_17,
  17: (workshop) =>
    isRecord(workshop)
      ? { ...workshop, hours: asStretches(workshop.hours), daysOff: [], clampSets: 2, deliveryDays: 7 }
      : workshop,
};
