import { createScanner } from "jsonc-parser";
import { namesIn } from "./jsonShape";

/** What the scanner calls the tokens that matter here. */
const TOKENS = {
  openBrace: 1,
  closeBrace: 2,
  openBracket: 3,
  closeBracket: 4,
  colon: 6,
  text: 10,
  end: 17,
} as const;

/** A key that stands twice in one object, and where it does the second time: so many characters in. */
export interface KeyTwice {
  readonly key: string;
  readonly at: number;
}

/**
 * The first key that stands twice in one object of a JSON text, or null: a parser would keep the last without a word.
 * `value` is what the text was parsed to: where it has as many keys as the text, none stands twice, which is seen at once.
 */
export function keyTwice(text: string, value: unknown): KeyTwice | null {
  return namesIn(text) === keysOf(value) ? null : searched(text);
}

/** How many keys there are in a value, and in all that is in it; without recursion. */
function keysOf(value: unknown): number {
  let count = 0;
  const open: unknown[] = [value];
  while (open.length > 0) {
    const next = open.pop();
    if (typeof next !== "object" || next === null) continue;
    const inner = Object.values(next);
    if (!Array.isArray(next)) count += inner.length;
    for (const item of inner) if (typeof item === "object") open.push(item);
  }
  return count;
}

function searched(text: string): KeyTwice | null {
  const scanner = createScanner(text, true);
  // The keys of each object that is open; null of a list.
  const open: (Set<string> | null)[] = [];
  let last: KeyTwice | null = null;
  for (;;) {
    const token: number = scanner.scan();
    if (token === TOKENS.end) return null;
    if (token === TOKENS.openBrace) open.push(new Set());
    else if (token === TOKENS.openBracket) open.push(null);
    else if (token === TOKENS.closeBrace || token === TOKENS.closeBracket) open.pop();
    else if (token === TOKENS.text) last = { key: scanner.getTokenValue(), at: scanner.getTokenOffset() };
    else if (token === TOKENS.colon && last) {
      const keys = open[open.length - 1];
      if (keys?.has(last.key)) return last;
      keys?.add(last.key);
    }
  }
}
