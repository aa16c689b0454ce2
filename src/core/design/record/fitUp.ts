import * as z from "zod";
import { entries, mm } from "./fields";

export const DRILL_SETS = ["fraction", "number", "letter", "metric"] as const;
export const PIN_FITS = ["slide", "snug", "press"] as const;

/** What a maker has of one piece before it is cut. */
const stock = z.strictObject({
  piece: z.string().min(1).max(60),
  lengthMm: mm(1, 2000),
  heightMm: mm(0.5, 500),
  thicknessMm: mm(0.05, 300),
});

const accepted = z.strictObject({
  rule: z.string().min(1).max(60),
  subject: z.string().min(1).max(120).nullable(),
  reason: z.string().trim().min(1).max(300),
});

/** How the knife is fitted up: what the shop has, what the knife must bear, and what the maker has settled. */
export const fitUp = z.strictObject({
  drills: z.strictObject({
    sets: z.array(z.enum(DRILL_SETS)).min(1).max(4),
    /** Names of the drills that are there; empty means every drill of the sets. */
    own: z.array(z.string().min(1).max(12)).max(300),
  }),
  pinFit: z.enum(PIN_FITS),
  /** Left on each side of a pin to be peened or flushed, as a share of its diameter. */
  pinProudShare: z.number().min(0).max(2),
  slotClearanceMm: mm(0, 2),
  filingMm: mm(0, 2),
  cuttersMm: z.array(mm(0.3, 30)).min(1).max(30),
  glue: z.strictObject({
    /** Volume of part A to one of part B. */
    ratio: z.number().min(0.05).max(50),
    densityA: z.number().min(0.5).max(4),
    densityB: z.number().min(0.5).max(4),
    lineMm: mm(0, 2),
    wasteShare: z.number().min(0).max(2),
    potLifeMin: z.number().min(1).max(1000),
    cureH: z.number().min(0.1).max(200),
    /** What potLifeMin and cureH are given for. */
    atC: z.number().min(0).max(60),
    shopC: z.number().min(-10).max(50),
    minutesAPart: z.number().min(0.1).max(60),
  }),
  stock: z.strictObject({ kerfMm: mm(0, 10), allowanceMm: mm(0, 20), have: z.array(stock).max(80) }),
  hand: z.strictObject({ breadthMm: mm(40, 140), thrust: z.boolean() }),
  loads: z.strictObject({
    sideN: z.number().min(0).max(20000),
    edgeN: z.number().min(0).max(20000),
    /** Where on the blade they act, ahead of the datum. */
    atMm: mm(1, 1200),
    yieldMPa: z.number().min(50).max(3000),
  }),
  /** Relative humidity that the knife will live in, %. */
  climate: z.strictObject({ low: z.number().min(0).max(95), high: z.number().min(0).max(95) }),
  /** Limits of rules that the maker has changed, by the rule's code. */
  limits: entries(z.string().min(1).max(60), z.number().min(0).max(100000), 200),
  accepted: z.array(accepted).max(200),
});

export type FitUp = z.infer<typeof fitUp>;
export type DrillSet = (typeof DRILL_SETS)[number];
export type PinFit = (typeof PIN_FITS)[number];
export type StockPiece = z.infer<typeof stock>;
