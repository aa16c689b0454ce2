import type { PricesReading } from "@/core/exchange/files/prices/prices";
import { frameFailureWords } from "./frameFailures";

/** Why a file of prices was refused, in plain words. */
export function pricesFailureWords(failure: Exclude<PricesReading, { ok: true }>): string {
  if (failure.code === "invalid") return `${failure.path}: ${failure.message}`;
  return frameFailureWords(failure, "a file of prices");
}
