import { missingLetters } from "./letters";
import type { Page } from "./page";

/** Letters of all that is written on sheets that none of their fonts has, each once. */
export const missingIn = (pages: readonly Page[]): string[] =>
  missingLetters(pages.flatMap((p) => p.items.flatMap((i) => (i.kind === "text" ? [i.text] : []))));
