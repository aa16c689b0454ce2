import type { Point } from "../curve/bezier";

/** A line of a drawing as chords, in the drawing's own unit, x to the right and y up. */
export interface RawRun {
  readonly layer: string;
  readonly points: readonly Point[];
  /** Its end leads back to its beginning. */
  readonly closed: boolean;
  /** Where it is a whole circle. */
  readonly circle?: { readonly x: number; readonly y: number; readonly radius: number };
}

/** What was passed over: how often, by what the format calls it; read by its own keys only, they are names from outside. */
export type PassedOver = Readonly<Record<string, number>>;

/** The lines of a drawing as they stand in its file. */
export interface RawDrawing {
  readonly runs: readonly RawRun[];
  /** Millimetres to one of the drawing's units; null where the file does not say. */
  readonly mmPerUnit: number | null;
  readonly passedOver: PassedOver;
}

/** What is wrong with a drawing's file. */
export type DrawingFailure =
  | { readonly code: "too-large"; readonly bytes: number; readonly most: number }
  | { readonly code: "not-a-drawing"; readonly format: string }
  /** A DXF file of bytes, not of text. */
  | { readonly code: "binary" }
  /** All that is drawn is solids, meshes, or lines that do not lie in one plane. */
  | { readonly code: "three-dimensional" }
  /** It has nothing but writing, dimensions or pictures. */
  | { readonly code: "no-lines"; readonly passedOver: PassedOver }
  | { readonly code: "too-much"; readonly most: number };

export type DrawingReading =
  | { readonly ok: true; readonly drawing: RawDrawing }
  | ({ readonly ok: false } & DrawingFailure);

/** Files over this are refused before they are read, bytes. */
export const LARGEST_DRAWING_BYTES = 16_000_000;
/** A drawing has so many points at most, once blocks are put in and curves are taken as chords. */
export const MOST_POINTS = 250_000;
/** Blocks, groups and references go no deeper into each other. */
export const DEEPEST = 12;

/** Curves are taken as chords that turn by this at most, radians, and lie within this share of the drawing's size. */
export const CHORD_TURN = Math.PI / 90;
export const CHORD_SHARE = 5e-6;
