import Papa from "papaparse";

/** A table: its columns' names, and its rows. */
export interface Table {
  readonly columns: readonly string[];
  readonly rows: readonly (readonly (string | number | null)[])[];
}

/**
 * A table as CSV with a mark of its encoding, commas and quoted cells as RFC 4180 has them. What a spreadsheet would take
 * for a formula is written as text.
 */
export function writeCsv({ columns, rows }: Table): string {
  return `\uFEFF${Papa.unparse({ fields: [...columns], data: rows.map((r) => r.map((c) => c ?? "")) }, { escapeFormulae: true, newline: "\r\n" })}\r\n`;
}
