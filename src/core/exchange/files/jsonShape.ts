/** How deep a text of JSON may nest, and how many names and values may stand in it. */
export interface JsonLimits {
  readonly depth: number;
  readonly keys: number;
  readonly values: number;
}

/**
 * Whether a text of JSON stays within limits, judged by its brackets, colons and commas before anything of it is parsed, in
 * one run over it. Of a text that is no JSON it says nothing: the parser does.
 */
export function isWithin(text: string, limits: JsonLimits): boolean {
  return namesUpTo(text, limits) !== null;
}

/** How many names stand in a text of JSON. */
export const namesIn = (text: string): number => namesUpTo(text, NO_LIMITS) ?? 0;

const NO_LIMITS: JsonLimits = {
  depth: Number.POSITIVE_INFINITY,
  keys: Number.POSITIVE_INFINITY,
  values: Number.POSITIVE_INFINITY,
};

/** The names of a text, counted by their colons; null past a limit. */
function namesUpTo(text: string, { depth, keys, values }: JsonLimits): number | null {
  let [open, colons, commas] = [0, 0, 0];
  for (let i = 0; i < text.length; i++) {
    switch (text.charCodeAt(i)) {
      case 0x22:
        // On to the end of the string: a quote behind an odd number of backslashes is part of it.
        for (i++; i < text.length && text.charCodeAt(i) !== 0x22; i++) if (text.charCodeAt(i) === 0x5c) i++;
        break;
      case 0x5b:
      case 0x7b:
        if (++open > depth) return null;
        break;
      case 0x5d:
      case 0x7d:
        open--;
        break;
      case 0x3a:
        if (++colons > keys) return null;
        break;
      case 0x2c:
        if (++commas > values) return null;
    }
  }
  return colons;
}
