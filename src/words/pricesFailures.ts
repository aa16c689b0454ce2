import type { PricesReading } from "@/core/files/prices/prices";

/** Why a file of prices was refused, in plain words. */
export function pricesFailureWords(failure: Exclude<PricesReading, { ok: true }>): string {
  switch (failure.code) {
    case "too-large":
      return "It is too large for a file of prices.";
    case "not-json":
      return "It is damaged, or no text.";
    case "foreign":
      return "It is not a file of prices.";
    case "no-version":
      return 'It does not say its version: "version" must be a whole number from 1.';
    case "newer":
      return `It is of version ${failure.version}: this Euaxis is older than it.`;
    case "invalid":
      return `${failure.path}: ${failure.message}`;
  }
}
