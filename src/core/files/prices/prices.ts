import { type Shop, shopSchema } from "../../cost/shop";

const PRICES_FORMAT = "euaxis-prices";
const PRICES_VERSION = 1;
const LARGEST_PRICES_BYTES = 200_000;

export type PricesReading =
  | { readonly ok: true; readonly shop: Shop }
  | { readonly ok: false; readonly code: "too-large" | "not-json" | "foreign" | "no-version" }
  | { readonly ok: false; readonly code: "newer"; readonly version: number }
  | { readonly ok: false; readonly code: "invalid"; readonly path: string; readonly message: string };

/** A shop's prices and rate as the text of an open JSON file. */
export function writePrices(shop: Shop): string {
  return `${JSON.stringify({ format: PRICES_FORMAT, version: PRICES_VERSION, shop }, null, 2)}\n`;
}

/** Reads a file of prices; refuses, changing nothing, what is not one. */
export function readPrices(bytes: Uint8Array): PricesReading {
  if (bytes.byteLength > LARGEST_PRICES_BYTES) return { ok: false, code: "too-large" };
  let value: unknown;
  try {
    value = JSON.parse(new TextDecoder("utf-8", { fatal: true }).decode(bytes));
  } catch {
    return { ok: false, code: "not-json" };
  }
  if (typeof value !== "object" || value === null) return { ok: false, code: "foreign" };
  const { format, version, shop } = value as Record<string, unknown>;
  if (format !== PRICES_FORMAT) return { ok: false, code: "foreign" };
  if (typeof version !== "number" || !Number.isInteger(version) || version < 1)
    return { ok: false, code: "no-version" };
  if (version > PRICES_VERSION) return { ok: false, code: "newer", version };
  const parsed = shopSchema.safeParse(shop);
  if (parsed.success) return { ok: true, shop: parsed.data };
  const [issue] = parsed.error.issues;
  return { ok: false, code: "invalid", path: ["shop", ...issue.path].join("."), message: issue.message };
}
