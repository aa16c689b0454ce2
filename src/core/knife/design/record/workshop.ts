import * as z from "zod/mini";
import {
  DRILL_SETS,
  HEAT_SOURCE_KINDS,
  LEAST_CURE_LIMITS_H,
  MOST_LETTERS,
  MOST_STRETCHES,
  PRINTER_LIMITS,
  WORKSHOP_PARTS,
  type WorkshopPart,
} from "../workshopParts";
import { between, id, mm, plainText, text } from "./fields";

/** What is kept of each part. */
export const workshopFacts = {
  drills: z.strictObject({
    sets: z.array(z.enum(DRILL_SETS)).check(z.minLength(1), z.maxLength(4)),
    /** Names of the drills that are there; empty means every drill of the sets. */
    own: z.array(plainText(1, 12)).check(z.maxLength(300)),
  }),
  /** Diameters of the end mills that are there. */
  cuttersMm: z.array(mm(0.3, 30)).check(z.minLength(1), z.maxLength(30)),
  /** Diameters of the wheels and drums, and of the round files, that are there. */
  grinders: z.strictObject({
    wheelsMm: z.array(mm(2, 2000)).check(z.maxLength(30)),
    filesMm: z.array(mm(0.5, 60)).check(z.maxLength(30)),
  }),
  glue: z.strictObject({
    /** Volume of part A to one of part B. */
    ratio: between(0.05, 50),
    densityA: between(0.5, 4),
    densityB: between(0.5, 4),
    lineMm: mm(0, 2),
    wasteShare: between(0, 2),
    potLifeMin: between(1, 1000),
    cureH: between(0.1, 200),
    /** Before what is glued is ground, whatever the label says. */
    leastCureH: between(...LEAST_CURE_LIMITS_H),
    /** What potLifeMin and cureH are given for. */
    atC: between(0, 60),
    minutesAPart: between(0.1, 60),
  }),
  /** Temperature of the shop. */
  shopC: between(-10, 50),
  saw: z.strictObject({ kerfMm: mm(0, 10), allowanceMm: mm(0, 20) }),
  /** Breadth of the hand that knives are made for, across the knuckles. */
  handMm: mm(40, 140),
  /** What steel can be heated in; none where its maker has it done, or has not said. */
  heatSources: z
    .array(
      z.strictObject({
        name: text(1, 40),
        kind: z.enum(HEAT_SOURCE_KINDS),
        mostC: between(200, 1400),
        /** Whether it holds a temperature by itself. */
        holds: z.boolean(),
        /** Longest piece that is heated evenly in it, with its tang. */
        longestMm: mm(20, 3000),
        /** How many pieces go in at once. */
        pieces: z.int().check(z.gte(1), z.lte(100)),
        /** How far its thermometer may be off; null where it has none. */
        offC: z.nullable(between(0, 200)),
      }),
    )
    .check(z.maxLength(12)),
} satisfies Readonly<Record<WorkshopPart, z.ZodMiniType>>;

const facts = z.strictObject(workshopFacts);
export type WorkshopFacts = z.infer<typeof facts>;

/** A workshop as a knife carries it: the knife fits up by itself, wherever it is opened. */
export const carriedWorkshop = z.strictObject({
  /** Which of its maker's workshops it follows; null for none. */
  id: z.nullable(id),
  /** Parts that the knife says otherwise: they stay as they are when the workshop changes. */
  own: z.array(z.enum(WORKSHOP_PARTS)).check(z.maxLength(WORKSHOP_PARTS.length)),
  ...workshopFacts,
});

export type CarriedWorkshop = z.infer<typeof carriedWorkshop>;

const minute = z.int().check(z.gte(0), z.lte(24 * 60));

const stretch = z
  .strictObject({ fromMin: minute, toMin: minute })
  .check(z.refine(({ fromMin, toMin }) => fromMin < toMin, "the end must come after the beginning"));

/** A day's working hours, minutes after midnight: stretches in order, with breaks between; none on a day off. */
const hours = z.array(stretch).check(
  z.maxLength(MOST_STRETCHES),
  z.refine(
    (day) => day.every((s, i) => i === 0 || day[i - 1].toMin <= s.fromMin),
    "a stretch must begin after the one before it",
  ),
);

/** One of a maker's workshops. */
export const workshopRecord = z.strictObject({
  id,
  name: text(1, MOST_LETTERS),
  facts,
  /** Monday first. */
  hours: z.array(hours).check(z.minLength(7), z.maxLength(7)),
  /** Days on which nobody works. */
  daysOff: z.array(z.iso.date()).check(z.maxLength(400)),
  /** How many handles can be clamped at once. */
  clampSets: z.int().check(z.gte(1), z.lte(50)),
  /** How long what is ordered takes to come. */
  deliveryDays: z.int().check(z.gte(0), z.lte(365)),
  /** In the currency of the prices. */
  ratePerHour: between(0, 1_000_000),
  printer: z.strictObject({ acrossMm: mm(...PRINTER_LIMITS), downMm: mm(...PRINTER_LIMITS) }),
});

export type Workshop = Readonly<z.infer<typeof workshopRecord>>;
