import { SaxesParser } from "saxes";
import { TooMuchWork } from "../../../base/work";

/** An element without its prefix, its attributes without theirs, and what stands in it. */
export interface Element {
  readonly name: string;
  readonly attributes: Readonly<Record<string, string | undefined>>;
  readonly children: Element[];
  readonly parent: Element | null;
  /** Of a `style` its rules; other writing is left out. */
  text: string;
}

/** A drawing has so many elements at most. */
const MOST_ELEMENTS = 200_000;

/** Written to the parser at a time, letters. */
const PIECE = 1 << 16;
/** Elements stand no deeper in each other. */
const DEEPEST_TREE = 500;

const plain = (name: string) => name.slice(name.indexOf(":") + 1);

/** The tree of an XML text; null where it is none. Entities of the text's own are not put in. Throws `TooMuchWork`. */
export function elementsOf(text: string): Element | null {
  const parser = new SaxesParser();
  const open: Element[] = [];
  let root: Element | null = null;
  let count = 0;
  parser.on("error", (error) => {
    // An entity that is not known stands for nothing; a text that is not well formed is not read.
    if (!/undefined entity/.test(error.message)) throw error;
  });
  parser.on("opentag", (tag) => {
    const attributes = Object.fromEntries(
      Object.entries(tag.attributes).map(([name, value]) => [plain(name), String(value)]),
    );
    const parent = open.length > 0 ? open[open.length - 1] : null;
    const element: Element = { name: plain(tag.name), attributes, children: [], parent, text: "" };
    // Counted at once: what is read later goes as deep as this lets it.
    if (++count > MOST_ELEMENTS || open.length >= DEEPEST_TREE) throw new TooMuchWork();
    if (parent) parent.children.push(element);
    else root ??= element;
    open.push(element);
  });
  const addText = (text: string) => {
    const last = open.length > 0 ? open[open.length - 1] : null;
    if (last?.name === "style") last.text += text;
  };
  parser.on("text", addText);
  parser.on("cdata", addText);
  parser.on("closetag", () => {
    open.pop();
  });
  try {
    for (let at = 0; at < text.length; at += PIECE) {
      parser.write(text.slice(at, at + PIECE));
    }
    parser.close();
  } catch (error) {
    if (error instanceof TooMuchWork) throw error;
    return null;
  }
  return root;
}
