import type { SheetOfPaper } from "@/core/exchange/photo/picture";
import { type PhotoShapes, type Seeing, USUAL_SEEING } from "@/core/exchange/photo/shapes";
import type { Point } from "@/core/geometry/curve/bezier";

/** How the maker says what the true size is. */
export interface ScaleChoice {
  readonly by: SheetOfPaper | "own" | "points";
  readonly corners: readonly Point[];
  readonly ends: readonly [Point, Point];
  readonly mm: number;
  readonly ownMm: { readonly longMm: number; readonly shortMm: number };
}

/** A picture as it is shown; its address is of the page's own memory. */
export interface Shown {
  readonly blob: Blob;
  readonly url: string;
  readonly width: number;
  readonly height: number;
}

/** A photo that is worked on: how far it is come, and what stands in the way. */
export interface PhotoWork {
  readonly name: string | null;
  /** The photo as it is seen, in pixels. */
  readonly photo: Shown | null;
  readonly scale: ScaleChoice | null;
  /** The photo at true size, mm. */
  readonly flat: Shown | null;
  readonly seeing: Seeing;
  readonly found: PhotoShapes | null;
  readonly wrong: string | null;
  /** What is being done, and how far it is. */
  readonly busy: { readonly says: string; readonly done: number | null } | null;
}

export type PhotoStep =
  | { readonly what: "closed" }
  /** Something is begun, or how far it is; what went wrong before stays said unless it `clears`. */
  | { readonly what: "busy"; readonly says: string; readonly done: number | null; readonly clears?: boolean }
  | { readonly what: "done" }
  | { readonly what: "wrong"; readonly says: string | null }
  | { readonly what: "opened"; readonly name: string; readonly photo: Shown; readonly scale: ScaleChoice }
  | { readonly what: "scale"; readonly scale: ScaleChoice }
  | { readonly what: "flat"; readonly flat: Shown }
  | { readonly what: "not-flat" }
  | { readonly what: "seeing"; readonly to: Seeing }
  | { readonly what: "found"; readonly found: NonNullable<PhotoWork["found"]> };

export const NO_PHOTO: PhotoWork = {
  name: null,
  photo: null,
  scale: null,
  flat: null,
  seeing: USUAL_SEEING,
  found: null,
  wrong: null,
  busy: null,
};

/** How shapes are looked for outlasts a photo; how thick its piece was and how high its camera do not. */
const ofAnother = (seeing: Seeing): Seeing => ({ ...seeing, thicknessMm: null, cameraMm: null });

/** What a photo's work is after a step of it. */
export function photoAfter(work: PhotoWork, step: PhotoStep): PhotoWork {
  switch (step.what) {
    case "closed":
      return { ...NO_PHOTO, seeing: ofAnother(work.seeing) };
    case "busy": {
      const { says, done, clears } = step;
      return { ...work, busy: { says, done }, wrong: clears ? null : work.wrong };
    }
    case "done":
      return { ...work, busy: null };
    case "wrong":
      return { ...work, wrong: step.says };
    case "opened": {
      const { name, photo, scale } = step;
      return { ...NO_PHOTO, seeing: ofAnother(work.seeing), name, photo, scale };
    }
    case "scale":
      return { ...work, scale: step.scale };
    case "flat":
      return { ...work, flat: step.flat };
    case "not-flat":
      return { ...work, flat: null, found: null, wrong: null };
    case "seeing":
      return { ...work, seeing: step.to };
    case "found":
      return { ...work, found: step.found };
  }
}

/** A scale to begin from: the sheet that was found in the picture, or marks well inside it. Pixels. */
export function firstScale(width: number, height: number, corners: readonly Point[] | null): ScaleChoice {
  const at = (u: number, v: number) => ({ x: Math.round(u * width), y: Math.round(v * height) });
  return {
    by: "a4",
    corners: corners ?? [at(0.1, 0.1), at(0.9, 0.1), at(0.9, 0.9), at(0.1, 0.9)],
    ends: [at(0.2, 0.5), at(0.8, 0.5)],
    mm: 100,
    ownMm: { longMm: 420, shortMm: 297 },
  };
}
