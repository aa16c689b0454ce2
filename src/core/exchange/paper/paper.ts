/** Papers that sheets are printed on, upright, mm. @see ISO 216 (A4); ANSI/ASME Y14.1 (Letter, 8.5 × 11 in). */
export const PAPERS = {
  a4: { widthMm: 210, heightMm: 297 },
  letter: { widthMm: 215.9, heightMm: 279.4 },
} as const;
export type PaperName = keyof typeof PAPERS;

/** Which paper, which way round, and what was measured of the last print. */
export interface PaperSetup {
  readonly paper: PaperName;
  readonly across: boolean;
  readonly printer: PrinterScale;
}

/** Which way round sheets lie: as is proposed for what stands on them, or always one way. */
export const WAYS = ["proposed", "upright", "across"] as const;
export type Way = (typeof WAYS)[number];

/** What a maker chose of it. */
export interface PaperChoice extends Omit<PaperSetup, "across"> {
  readonly way: Way;
}

/** A choice as a setup: what is proposed stands upright, until what lies on it asks for another way. */
export const setupOf = ({ paper, way, printer }: PaperChoice): PaperSetup => ({
  paper,
  across: way === "across",
  printer,
});

/** How long the printer makes 100 mm across the sheet and down it. */
export interface PrinterScale {
  readonly acrossMm: number;
  readonly downMm: number;
}

export const TRUE_PRINTER: PrinterScale = { acrossMm: 100, downMm: 100 };

/** By how much a print is drawn larger, across and down, so that it comes out true. */
export function correction({ acrossMm, downMm }: PrinterScale): { readonly x: number; readonly y: number } {
  return { x: 100 / acrossMm, y: 100 / downMm };
}

/**
 * The printer as it is, from what was measured of a print that was corrected for it as it was taken to be: both errors
 * together.
 */
export function measuredPrinter(before: PrinterScale, measured: PrinterScale): PrinterScale {
  return {
    acrossMm: (before.acrossMm * measured.acrossMm) / 100,
    downMm: (before.downMm * measured.downMm) / 100,
  };
}

/** Rim that printers leave white, mm: 8 mm, with room for a print that is drawn larger. Common practice, no source. */
export const MARGIN_MM = 10;

/** Size of a sheet as it lies. */
export function sheetSize({ paper, across }: Pick<PaperSetup, "paper" | "across">) {
  const { widthMm, heightMm } = PAPERS[paper];
  return across ? { widthMm: heightMm, heightMm: widthMm } : { widthMm, heightMm };
}
