/** What a name from outside may have in it that no one sees, and that is taken out of it. */
export type Unseen = "control" | "direction" | "half-letter";

/** Marks that turn the direction of text, and joints without width. @see Unicode Standard 23.2 and UAX #9 (from memory). */
const isDirection = (c: number) =>
  (c >= 0x200b && c <= 0x200f && c !== 0x200d) ||
  (c >= 0x202a && c <= 0x202e) ||
  (c >= 0x2060 && c <= 0x2064) ||
  (c >= 0x2066 && c <= 0x2069) ||
  c === 0x061c ||
  c === 0xfeff;
const isControl = (c: number) => c < 0x20 || (c >= 0x7f && c <= 0x9f) || c === 0x2028 || c === 0x2029;
const isHalf = (c: number) => (c >= 0xd800 && c <= 0xdfff) || c === 0xfffd;

/**
 * A name from a file as it may be shown and kept: at most so many letters, an emoji never cut in half, runs of spaces as
 * one, and nothing in it that is not seen. Says what was taken out.
 */
export function plainName(
  text: string,
  most: number,
): { readonly name: string; readonly out: readonly Unseen[] } {
  const out = new Set<Unseen>();
  let name = "";
  let space = false;
  for (const letter of text) {
    const c = letter.codePointAt(0) ?? 0;
    if (c === 0x09 || c === 0x0a || c === 0x0d || c === 0x20 || c === 0xa0) {
      space = name !== "";
      continue;
    }
    if (isHalf(c)) out.add("half-letter");
    else if (isControl(c)) out.add("control");
    else if (isDirection(c)) out.add("direction");
    else {
      if (name.length + letter.length + (space ? 1 : 0) > most) break;
      name += space ? ` ${letter}` : letter;
      space = false;
    }
  }
  return { name, out: [...out] };
}
