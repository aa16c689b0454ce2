import { createScanner } from "jsonc-parser";

/** How a text, a number, or one of the three words begins. */
const SCALAR = /^(?:"|-?\d|true$|false$|null$)/;

/** Where a text stops being JSON: how many characters in. The text's length where it only ends too early. */
export function jsonFaultAt(text: string): number {
  const scanner = createScanner(text, false);
  // What is open, and what may come next. By hand and without recursion: a file may nest as deep as it likes.
  const open: ("{" | "[")[] = [];
  let wants: "value" | "value-or-end" | "key" | "key-or-end" | "colon" | "comma-or-end" | "nothing" = "value";
  const closed = () => {
    open.pop();
    wants = open.length > 0 ? "comma-or-end" : "nothing";
  };
  for (;;) {
    do scanner.scan();
    while (/^[ \t\r\n]+$/.test(text.slice(scanner.getTokenOffset(), scanner.getTokenOffset() + 1)));
    const at = scanner.getTokenOffset();
    if (at >= text.length) return text.length;
    const token = text.slice(at, at + Math.min(5, scanner.getTokenLength()));
    if (scanner.getTokenError() !== 0) return at;
    const inObject = open[open.length - 1] === "{";
    if (wants === "value" || wants === "value-or-end") {
      if (token === "{" || token === "[") {
        open.push(token);
        wants = token === "{" ? "key-or-end" : "value-or-end";
      } else if (token === "]" && wants === "value-or-end") closed();
      else if (SCALAR.test(token)) wants = open.length > 0 ? "comma-or-end" : "nothing";
      else return at;
    } else if (wants === "key" || wants === "key-or-end") {
      if (token.startsWith('"')) wants = "colon";
      else if (token === "}" && wants === "key-or-end") closed();
      else return at;
    } else if (wants === "colon") {
      if (token !== ":") return at;
      wants = "value";
    } else if (wants === "comma-or-end") {
      if (token === ",") wants = inObject ? "key" : "value";
      else if (token === (inObject ? "}" : "]")) closed();
      else return at;
    } else return at;
  }
}
