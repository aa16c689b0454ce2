import { selectAll } from "css-select";
import type { Atrule, CssNode, Declaration, Rule } from "css-tree";
import generate from "css-tree/generator";
import parse from "css-tree/parser";
import { own } from "../../../base/own";
import type { Work } from "../../../base/work";
import type { Counts } from "../counts";
import type { Element } from "./elements";
import { NotUnderstood } from "./notUnderstood";

/** What the style of an element says by itself, by property; attributes of the same names come after it. */
export type Declared = ReadonlyMap<string, string>;

/** A declaration that holds for an element, and how it ranks among others for the same property. */
interface Ranked {
  readonly property: string;
  readonly value: string;
  readonly important: boolean;
  readonly specificity: number;
  readonly order: number;
}

/** Where styles of an element itself rank: before all that a rule says. */
const OWN = Number.MAX_SAFE_INTEGER;
/** What asking one element for one rule costs, and reading one letter of a style. */
const MATCH = 0.5;
const LETTER = 0.05;
/** A selector that asks for a state is never met by a drawing that is only looked at. */
const STATES = /:(hover|active|focus|focus-within|focus-visible|visited|target|checked|disabled)\b/;
/** Media that a drawing on a screen is of. */
const SCREENS = ["all", "screen", "only screen"];

/**
 * The styles of a drawing: what its `style` elements and its elements' own `style` say, in the order in which they hold.
 * Throws `TooMuchWork`, and `NotUnderstood` of a selector or a condition that is none of those read here.
 * @see CSS Cascading and Inheritance 4, 6; Selectors 4, 17 (from memory).
 */
export class Styles {
  private readonly byRule = new Map<Element, Ranked[]>();
  private readonly answered = new Map<Element, Declared>();
  private order = 0;
  private readonly tree: Tree;

  constructor(
    private readonly root: Element,
    private readonly passedOver: Counts<string>,
    private readonly work: Work,
  ) {
    this.tree = measured(root);
    for (const waiting = [root]; waiting.length > 0; ) {
      const e = waiting.pop()!;
      if (e.name === "style" && isOfScreen(e.attributes.media)) this.takeSheet(e.text);
      for (let i = e.children.length - 1; i >= 0; i--) waiting.push(e.children[i]);
    }
  }

  /** What is declared for an element. */
  of(e: Element): Declared {
    const known = this.answered.get(e);
    if (known) return known;
    const own = e.attributes.style;
    const ranked = [...(this.byRule.get(e) ?? [])];
    if (own !== undefined) ranked.push(...this.declared(this.parsed(own, "declarationList"), OWN));
    ranked.sort(
      (a, b) =>
        Number(a.important) - Number(b.important) || a.specificity - b.specificity || a.order - b.order,
    );
    const declared = new Map(ranked.map((r) => [r.property, r.value]));
    this.answered.set(e, declared);
    return declared;
  }

  private parsed(text: string, context: "stylesheet" | "declarationList"): CssNode {
    this.work.spend(text.length * LETTER);
    return parse(text, { context, parseCustomProperty: false });
  }

  private takeSheet(text: string): void {
    const sheet = this.parsed(text, "stylesheet");
    if (sheet.type === "StyleSheet") this.takeRules(sheet.children.toArray());
  }

  private takeRules(nodes: readonly CssNode[]): void {
    for (const node of nodes) {
      if (node.type === "Rule") this.takeRule(node);
      else if (node.type === "Atrule") this.takeAtRule(node);
    }
  }

  private takeAtRule({ name, prelude, block }: Atrule): void {
    const said = prelude ? generate(prelude) : "";
    if (name === "media" && block) {
      if (isOfScreen(said)) this.takeRules(block.children.toArray());
      // A screen is no paper; of its size and colours nothing is known here.
      else if (said !== "print") throw new NotUnderstood(`@media ${said}`);
    } else if (name === "import") this.passedOver.add("@import");
    else if (["supports", "layer", "container", "scope"].includes(name)) throw new NotUnderstood(`@${name}`);
  }

  private takeRule({ prelude, block }: Rule): void {
    if (prelude.type !== "SelectorList") return;
    for (const selector of prelude.children.toArray()) {
      const text = generate(selector);
      if (STATES.test(text)) continue;
      this.work.spend(MATCH * this.tree.count * stepsOf(selector, this.tree));
      const specificity = specificityOf(selector);
      const declared = this.declared(block, specificity);
      for (const e of this.chosen(text)) {
        this.work.spend(declared.length);
        const there = this.byRule.get(e);
        if (there) there.push(...declared);
        else this.byRule.set(e, [...declared]);
      }
    }
  }

  private chosen(selector: string): readonly Element[] {
    try {
      return selectAll<Element, Element>(selector, this.root, { adapter: ADAPTER, xmlMode: true });
    } catch {
      throw new NotUnderstood(`the selector ${selector}`);
    }
  }

  private declared(block: CssNode, specificity: number): Ranked[] {
    if (block.type !== "Block" && block.type !== "DeclarationList") return [];
    return (block.children.toArray() as CssNode[])
      .filter((node): node is Declaration => node.type === "Declaration")
      .map(({ property, value, important }) => ({
        property: property.toLowerCase(),
        value: generate(value).trim(),
        important: important !== false,
        specificity,
        order: this.order++,
      }));
  }
}

/** How many elements a drawing has, how deep they stand, and how many stand side by side. */
interface Tree {
  readonly count: number;
  readonly depth: number;
  readonly breadth: number;
}

function measured(root: Element): Tree {
  let [count, depth, breadth] = [0, 1, 1];
  for (const waiting = [{ e: root, at: 1 }]; waiting.length > 0; ) {
    const { e, at } = waiting.pop()!;
    count++;
    depth = Math.max(depth, at);
    breadth = Math.max(breadth, e.children.length);
    for (const child of e.children) waiting.push({ e: child, at: at + 1 });
  }
  return { count, depth, breadth };
}

/** Pseudo-classes that are answered by an element alone. */
const PLAIN_PSEUDO = [
  "is",
  "not",
  "where",
  "matches",
  "root",
  "first-child",
  "last-child",
  "only-child",
  "empty",
];

/** Steps that one element takes to be told whether it is meant, at most: a step to any ancestor may be every one of them. */
function stepsOf(node: CssNode, tree: Tree): number {
  switch (node.type) {
    case "Combinator":
      return node.name === " " ? tree.depth : node.name === "~" ? tree.breadth : 1;
    case "PseudoClassSelector": {
      if (node.name === "has") throw new NotUnderstood("the selector :has()");
      const own = PLAIN_PSEUDO.includes(node.name) ? 1 : tree.breadth;
      return own * (node.children?.toArray() ?? []).reduce((n, part) => n * stepsOf(part, tree), 1);
    }
    case "Selector":
    case "SelectorList":
      return node.children.toArray().reduce((n, part) => n * stepsOf(part, tree), 1);
    default:
      return 1;
  }
}

const isOfScreen = (media: string | undefined): boolean =>
  media === undefined || media.trim() === "" || SCREENS.includes(media.trim().toLowerCase());

/** How an element is walked through. */
const ADAPTER = {
  isTag: (_: Element): _ is Element => true,
  getAttributeValue: (e: Element, name: string) => own(e.attributes, name),
  hasAttrib: (e: Element, name: string) => own(e.attributes, name) !== undefined,
  getChildren: (e: Element) => e.children,
  getName: (e: Element) => e.name,
  getParent: (e: Element) => e.parent,
  getSiblings: (e: Element) => e.parent?.children ?? [e],
  getText: (e: Element) => e.text,
  removeSubsets: (all: Element[]) =>
    all.filter((e) => {
      for (let up = e.parent; up; up = up.parent) if (all.includes(up)) return false;
      return true;
    }),
};

/** Ids, then classes, attributes and pseudo-classes, then names: one number that ranks as the three do. */
function specificityOf(node: CssNode): number {
  const parts = node.type === "Selector" ? node.children.toArray() : [];
  return parts.reduce((sum, part) => sum + partSpecificity(part), 0);
}

/** A thousand of one kind never rank as one of the next. */
const [ID, CLASS, NAME] = [1e6, 1e3, 1];

function partSpecificity(part: CssNode): number {
  switch (part.type) {
    case "IdSelector":
      return ID;
    case "ClassSelector":
    case "AttributeSelector":
      return CLASS;
    case "TypeSelector":
      return part.name === "*" ? 0 : NAME;
    case "PseudoClassSelector": {
      if (part.name === "where") return 0;
      const inner = part.children?.toArray() ?? [];
      if (!["is", "not", "has"].includes(part.name)) return CLASS;
      const lists = inner.flatMap((n) => (n.type === "SelectorList" ? n.children.toArray() : [n]));
      return Math.max(0, ...lists.map(specificityOf));
    }
    default:
      return 0;
  }
}
