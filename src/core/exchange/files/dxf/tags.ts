import type { Work } from "../../../base/work";

/** What a drawing of lines is read from; all else is left out before the parser sees it. */
const SECTIONS = ["HEADER", "BLOCKS", "ENTITIES"];
const PARTS = ["SECTION", "ENDSEC", "BLOCK", "ENDBLK", "VERTEX", "SEQEND", "EOF"];
const LINES = ["LINE", "LWPOLYLINE", "POLYLINE", "CIRCLE", "ARC", "ELLIPSE", "SPLINE", "INSERT"];
/** Words that a parser might take for the beginning of something where they stand as a name. */
const MARKERS = ["BLOCK", "ENDBLK", "SECTION", "ENDSEC"];

/** Entities that belong to another one, and are no lines of their own. */
const SILENT = ["ATTRIB", "SEQEND"];

export interface Tags {
  /** The file with what is read of it alone. */
  readonly text: string;
  /** Entities that are left out, by kind. */
  readonly passedOver: ReadonlyMap<string, number>;
  /** Layers that are not seen, by their names in small letters: a format's own names are alike in either. */
  readonly hiddenLayers: ReadonlyMap<string, "layer-off" | "layer-frozen">;
}

/** The bit of a layer's flags that freezes it. */
const FROZEN = 1;

/** Reads what a file's table of layers says of each: one with a negative colour is off. */
class LayerTable {
  readonly hidden = new Map<string, "layer-off" | "layer-frozen">();
  private name: string | null = null;

  take(code: number, value: string): void {
    if (code === 0) this.name = value === "LAYER" ? "" : null;
    else if (this.name === null) return;
    else if (code === 2) this.name = value.toLowerCase();
    else if (code === 70 && (Number(value) & FROZEN) !== 0) this.hidden.set(this.name, "layer-frozen");
    else if (code === 62 && Number(value) < 0 && !this.hidden.has(this.name))
      this.hidden.set(this.name, "layer-off");
  }
}

/**
 * The pairs of lines that a DXF file consists of, without sections and entities that no outline is made of; null of a text
 * that is none. Names stay data: nothing is looked up by them.
 * @see DXF reference, "DXF format" (from memory).
 */
export function linesOnly(text: string, work: Work): Tags | null {
  const kept: string[] = [];
  const passedOver = new Map<string, number>();
  const layers = new LayerTable();
  let section: string | null = null;
  let wantsName = false;
  let skipping = false;
  let any = false;
  for (const [code, value] of pairsOf(text)) {
    if (code === 999) continue;
    // A text that does not begin as such a file does is none.
    if (!any && !(code === 0 && value === "SECTION")) return null;
    any = true;
    work.spend(0.1);
    if (wantsName) {
      wantsName = false;
      section = code === 2 ? value : null;
      if (section && SECTIONS.includes(section)) kept.push("0\nSECTION\n2\n", section, "\n");
      continue;
    }
    if (code === 0 && value === "SECTION") {
      wantsName = true;
      continue;
    }
    if (section === "TABLES") layers.take(code, value);
    if (section === null || !SECTIONS.includes(section)) continue;
    if (code === 0) {
      skipping = !PARTS.includes(value) && !LINES.includes(value);
      if (skipping && !SILENT.includes(value)) passedOver.set(value, (passedOver.get(value) ?? 0) + 1);
    }
    if (skipping) continue;
    const clear = code !== 0 && MARKERS.includes(value) ? `${value} ` : value;
    kept.push(String(code), "\n", clear, "\n");
    if (code === 0 && value === "ENDSEC") section = null;
  }
  return any ? { text: kept.join(""), passedOver, hiddenLayers: layers.hidden } : null;
}

/** Codes and values, a pair of lines each. */
function* pairsOf(text: string): Generator<[number, string]> {
  let at = text.charCodeAt(0) === 0xfeff ? 1 : 0;
  const line = (): string | null => {
    if (at >= text.length) return null;
    let end = at;
    while (end < text.length && text.charCodeAt(end) !== 10 && text.charCodeAt(end) !== 13) end++;
    const found = text.slice(at, end);
    // \r\n is one end of a line.
    at = end + (text.charCodeAt(end) === 13 && text.charCodeAt(end + 1) === 10 ? 2 : 1);
    return found;
  };
  for (let first = line(); first !== null; first = line()) {
    // Empty lines before the first pair, and behind the last, are nothing.
    if (first.trim() === "") continue;
    const value = line();
    if (value === null) return;
    const code = Number(first);
    if (!Number.isInteger(code)) return;
    yield [code, value.trim()];
  }
}
