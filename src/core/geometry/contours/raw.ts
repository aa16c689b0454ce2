import type { Point } from "../curve/bezier";

/** A line of a drawing as chords, in the drawing's own unit, x to the right and y up. */
export interface RawRun {
  readonly layer: string;
  readonly points: readonly Point[];
  /** Its end leads back to its beginning. */
  readonly closed: boolean;
  /** Where it is a whole circle. */
  readonly circle?: { readonly x: number; readonly y: number; readonly radius: number };
  /** The file says that it is what the drawing lies on, as a page's colour. */
  readonly isPage?: boolean;
}

/** What was passed over: how often, by what the format calls it; read by its own keys only, they are names from outside. */
export type PassedOver = Readonly<Record<string, number>>;

/** Why a line that stands in a file is not seen, and is left out. */
export type Unseen =
  | "layer-off"
  | "layer-frozen"
  | "marked-invisible"
  | "not-displayed"
  | "transparent"
  | "no-paint"
  | "outside-page";

/** What may be seen otherwise than it is read: cut away in part, or moved by time. */
export type DrawingDoubt = "cut-away" | "animated";

/** Lines, or things of one kind, counted by a code. */
export type Counted<Code extends string> = Readonly<Partial<Record<Code, number>>>;

/** The lines of a drawing that are seen, as they stand in its file. */
export interface RawDrawing {
  readonly runs: readonly RawRun[];
  /** Millimetres to one of the drawing's units; null where the file does not say. */
  readonly mmPerUnit: number | null;
  readonly passedOver: PassedOver;
  readonly unseen: Counted<Unseen>;
  readonly doubts: Counted<DrawingDoubt>;
}

/** What is wrong with a drawing's file. */
export type DrawingFailure =
  | { readonly code: "too-large"; readonly bytes: number; readonly most: number }
  | { readonly code: "not-a-drawing"; readonly format: string }
  /** A DXF file of bytes, not of text. */
  | { readonly code: "binary" }
  /** All that is drawn is solids, meshes, or lines that do not lie in one plane. */
  | { readonly code: "three-dimensional" }
  /** It has nothing but writing, dimensions or pictures, or none of its lines is seen. */
  | { readonly code: "no-lines"; readonly passedOver: PassedOver; readonly unseen: Counted<Unseen> }
  /** It asks for something that would put its lines elsewhere, and that is not read here; as it stands in the file. */
  | { readonly code: "not-understood"; readonly what: string }
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
