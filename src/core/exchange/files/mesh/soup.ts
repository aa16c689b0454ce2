/** Units that a mesh file can be in, and the mm in one of each. */
export const MM_PER = {
  micron: 0.001,
  millimeter: 1,
  centimeter: 10,
  inch: 25.4,
  foot: 304.8,
  meter: 1000,
} as const;
export type MeshUnit = keyof typeof MM_PER;

/** Triangles as a file lists them: nine numbers each, corners x, y, z, joined to nothing. */
export interface Soup {
  readonly corners: Float32Array;
  /** The unit that the file states, or null where it states none. */
  readonly unit: MeshUnit | null;
}

export type SoupReading =
  | { readonly ok: true; readonly soup: Soup }
  | { readonly ok: false; readonly code: "not-a-mesh" | "damaged" }
  | { readonly ok: false; readonly code: "too-fine"; readonly triangles: number; readonly limit: number };

/** A file is read up to so many triangles: what has more is far too fine for a knife. */
export const MOST_READ_TRIANGLES = 200_000;

/** Files over this are refused unread. */
export const LARGEST_MESH_BYTES = 24_000_000;
