const PLURAL = new Intl.PluralRules("en");
const LANGUAGE = "en";

/** "1 hole", "3 holes"; another form where an s is not enough. */
export const counted = (n: number, one: string, many = `${one}s`): string =>
  `${n} ${PLURAL.select(n) === "one" ? one : many}`;

/** One form or the other, by a number. */
export const byCount = (n: number, one: string, many: string): string =>
  PLURAL.select(n) === "one" ? one : many;

/** A name within a sentence: all of it in small letters. */
export const small = (text: string): string => text.toLocaleLowerCase(LANGUAGE);

/** With its first letter small, so that names within it keep theirs. */
export const smallFirst = (text: string): string =>
  text.charAt(0).toLocaleLowerCase(LANGUAGE) + text.slice(1);

/** With its first letter a capital. */
export const capital = (text: string): string => text.charAt(0).toLocaleUpperCase(LANGUAGE) + text.slice(1);
