import { type Shop, shopSchema } from "../../../figures/cost/shop";
import { type Frame, type FrameFailure, readFrame } from "../frame";

/** A file of prices may have so many bytes. */
export const LARGEST_PRICES_BYTES = 200_000;
const FRAME: Frame = {
  format: "euaxis-prices",
  version: 1,
  keys: ["shop"],
  mostBytes: LARGEST_PRICES_BYTES,
};

export type PricesReading =
  | { readonly ok: true; readonly shop: Shop }
  | FrameFailure
  | { readonly ok: false; readonly code: "invalid"; readonly path: string; readonly message: string };

/** A shop's prices and rate as the text of an open JSON file. */
export function writePrices(shop: Shop): string {
  return `${JSON.stringify({ format: FRAME.format, version: FRAME.version, shop }, null, 2)}\n`;
}

/** Reads a file of prices; refuses, changing nothing, what is not one. */
export function readPrices(bytes: Uint8Array): PricesReading {
  const reading = readFrame(bytes, FRAME);
  if (!reading.ok) return reading;
  const parsed = shopSchema.safeParse(reading.content.shop);
  if (parsed.success) return { ok: true, shop: parsed.data };
  const [issue] = parsed.error.issues;
  return { ok: false, code: "invalid", path: ["shop", ...issue.path].join("."), message: issue.message };
}
