import * as z from "zod/mini";
import { between, entries, mm, plainText, text, window } from "./fields";

export const DRILL_SETS = ["fraction", "number", "letter", "metric"] as const;
export const PIN_FITS = ["slide", "snug", "press"] as const;

/** What a maker has of one piece before it is cut. */
const stock = z.strictObject({
  piece: plainText(1, 60),
  lengthMm: mm(1, 2000),
  heightMm: mm(0.5, 500),
  thicknessMm: mm(0.05, 300),
});

const accepted = z.strictObject({
  rule: plainText(1, 60),
  subject: z.nullable(plainText(1, 120)),
  reason: text(1, 300),
});

/** How the knife is fitted up: what the shop has, what the knife must bear, and what the maker has settled. */
export const fitUp = z.strictObject({
  drills: z.strictObject({
    sets: z.array(z.enum(DRILL_SETS)).check(z.minLength(1), z.maxLength(4)),
    /** Names of the drills that are there; empty means every drill of the sets. */
    own: z.array(plainText(1, 12)).check(z.maxLength(300)),
  }),
  pinFit: z.enum(PIN_FITS),
  /** Left on each side of a pin to be peened or flushed, as a share of its diameter. */
  pinProudShare: between(0, 2),
  slotClearanceMm: mm(0, 2),
  filingMm: mm(0, 2),
  /** How the blade is ground, and what there is to grind it with. */
  grinding: z.strictObject({
    /** Thickness of the edge that is left before hardening. */
    softEdgeMm: mm(0, 5),
    /** What is taken off each flat after hardening. */
    flatsMm: mm(0, 2),
    /** Diameters of the wheels and drums, and of the round files, that are there. */
    wheelsMm: z.array(mm(2, 2000)).check(z.maxLength(30)),
    filesMm: z.array(mm(0.5, 60)).check(z.maxLength(30)),
  }),
  cuttersMm: z.array(mm(0.3, 30)).check(z.minLength(1), z.maxLength(30)),
  glue: z.strictObject({
    /** Volume of part A to one of part B. */
    ratio: between(0.05, 50),
    densityA: between(0.5, 4),
    densityB: between(0.5, 4),
    lineMm: mm(0, 2),
    wasteShare: between(0, 2),
    potLifeMin: between(1, 1000),
    cureH: between(0.1, 200),
    /** What potLifeMin and cureH are given for. */
    atC: between(0, 60),
    shopC: between(-10, 50),
    minutesAPart: between(0.1, 60),
    /** Whether what screws hold together is glued as well. */
    screwedToo: z.boolean(),
  }),
  stock: z.strictObject({
    kerfMm: mm(0, 10),
    allowanceMm: mm(0, 20),
    have: z.array(stock).check(z.maxLength(80)),
  }),
  hand: z.strictObject({ breadthMm: mm(40, 140), thrust: z.boolean() }),
  loads: z.strictObject({
    sideN: between(0, 20000),
    edgeN: between(0, 20000),
    /** Where on the blade they act, ahead of the datum. */
    atMm: mm(1, 1200),
    yieldMPa: between(50, 3000),
  }),
  /** Relative humidity that the knife will live in, %. */
  climate: window(0, 95),
  /** Limits of rules that the maker has changed, by the rule's code. */
  limits: entries(plainText(1, 60), between(0, 100000), 200),
  accepted: z.array(accepted).check(z.maxLength(200)),
});

export type FitUp = z.infer<typeof fitUp>;
export type DrillSet = (typeof DRILL_SETS)[number];
export type PinFit = (typeof PIN_FITS)[number];
export type StockPiece = z.infer<typeof stock>;
