import * as z from "zod/mini";
import { between, entries, mm, plainText, text, window } from "./fields";

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

/** How the knife is fitted up: what it must bear, and what the maker has settled. */
export const fitUp = z.strictObject({
  pinFit: z.enum(PIN_FITS),
  /** Left on each side of a pin to be peened or flushed, as a share of its diameter. */
  pinProudShare: between(0, 2),
  slotClearanceMm: mm(0, 2),
  filingMm: mm(0, 2),
  /** How the blade is ground. */
  grinding: z.strictObject({
    /** Thickness of the edge that is left before hardening. */
    softEdgeMm: mm(0, 5),
    /** What is taken off each flat after hardening. */
    flatsMm: mm(0, 2),
  }),
  /** Whether what screws hold together is glued as well. */
  screwedToo: z.boolean(),
  stock: z.strictObject({ have: z.array(stock).check(z.maxLength(80)) }),
  /** Whether it may be thrust with. */
  thrust: z.boolean(),
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
export type PinFit = (typeof PIN_FITS)[number];
export type StockPiece = z.infer<typeof stock>;
