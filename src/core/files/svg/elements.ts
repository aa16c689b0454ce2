import { SaxesParser } from "saxes";

/** An element without its prefix, its attributes without theirs, and what stands in it; writing is left out. */
export interface Element {
  readonly name: string;
  readonly attributes: Readonly<Record<string, string | undefined>>;
  readonly children: Element[];
}

/** A drawing has so many elements at most. */
const MOST_ELEMENTS = 200_000;

/** Written to the parser at a time, letters. */
const PIECE = 1 << 16;
/** Elements stand no deeper in each other. */
const DEEPEST_TREE = 500;

const plain = (name: string) => name.slice(name.indexOf(":") + 1);

/** The tree of an XML text; null where it is none. Entities of the text's own are not put in. */
export function elementsOf(text: string): Element | "too-much" | null {
  const parser = new SaxesParser();
  const open: Element[] = [];
  let root: Element | null = null;
  let count = 0;
  parser.on("error", (error) => {
    // An entity that is not known stands for nothing; a text that is not well formed is not read.
    if (!/undefined entity/.test(error.message)) throw error;
  });
  parser.on("opentag", (tag) => {
    const attributes: Record<string, string> = {};
    for (const [name, value] of Object.entries(tag.attributes)) attributes[plain(name)] = String(value);
    const element: Element = { name: plain(tag.name), attributes, children: [] };
    count++;
    if (open.length > 0) open[open.length - 1].children.push(element);
    else root ??= element;
    open.push(element);
  });
  parser.on("closetag", () => {
    open.pop();
  });
  try {
    for (let at = 0; at < text.length; at += PIECE) {
      if (count > MOST_ELEMENTS || open.length > DEEPEST_TREE) return "too-much";
      parser.write(text.slice(at, at + PIECE));
    }
    parser.close();
  } catch {
    return null;
  }
  return root;
}
