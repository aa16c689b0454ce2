import bidiFactory from "bidi-js";

const bidi = bidiFactory();

/** A line in the order in which it is seen: what runs from right to left is turned, brackets with it (UAX #9). */
export function asSeen(text: string): string {
  const levels = bidi.getEmbeddingLevels(text, "auto");
  return bidi.getReorderedString(text, levels);
}
