import { dsvFormat } from "d3-dsv";
import { LARGEST_TABLE_BYTES } from "./limits";

export const MOST_ROWS = 5000;
const MOST_COLUMNS = 500;
const DELIMITERS = [",", ";", "\t", "|"];

export type RowsReading =
  | { readonly ok: true; readonly head: readonly string[]; readonly rows: readonly TableRow[] }
  | { readonly ok: false; readonly code: "too-large" | "not-text" | "too-many-rows" | "no-columns" };

/** A row that has something in it; `line` counts rows from 1, the head's. */
export interface TableRow {
  readonly line: number;
  readonly cells: readonly string[];
}

/** A table of text as rows of cells, parted by what its first line is parted by. @see RFC 4180. */
export function readRows(bytes: Uint8Array): RowsReading {
  if (bytes.byteLength > LARGEST_TABLE_BYTES) return { ok: false, code: "too-large" };
  let text: string;
  try {
    text = new TextDecoder("utf-8", { fatal: true }).decode(bytes);
  } catch {
    return { ok: false, code: "not-text" };
  }
  let count = 0;
  const rows: TableRow[] = [];
  let wide = false;
  dsvFormat(delimiterOf(text)).parseRows(text, (cells, i) => {
    wide ||= cells.length > MOST_COLUMNS;
    if (cells.every((cell) => cell.trim() === "")) return null;
    // Past the most they are only counted.
    if (++count <= MOST_ROWS + 1) rows.push({ line: i + 1, cells });
    return null;
  });
  if (wide) return { ok: false, code: "no-columns" };
  const [head, ...body] = rows;
  if (!head) return { ok: false, code: "no-columns" };
  if (body.length > MOST_ROWS || count > MOST_ROWS + 1) return { ok: false, code: "too-many-rows" };
  return { ok: true, head: head.cells, rows: body };
}

/** The mark that stands most often in the first line, outside of quotes. */
function delimiterOf(text: string): string {
  const counts = new Map(DELIMITERS.map((d) => [d, 0]));
  let quoted = false;
  let begun = false;
  for (const c of text) {
    if (c === '"') quoted = !quoted;
    else if (!quoted && (c === "\n" || c === "\r")) {
      if (begun) break;
    } else if (!quoted && counts.has(c)) counts.set(c, (counts.get(c) ?? 0) + 1);
    else begun = true;
  }
  return [...counts].reduce((best, now) => (now[1] > best[1] ? now : best))[0];
}
