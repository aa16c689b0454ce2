import { type Affine, after, shifted, stretched } from "../../../geometry/curve/affine";
import { lengthIn, MM_PER_PX, UNIT_MM, type Viewport } from "./lengths";
import { measureIn, numbersIn } from "./numbers";

/** The part of its own coordinates that an element shows. */
export interface ViewBox {
  readonly x: number;
  readonly y: number;
  readonly width: number;
  readonly height: number;
}

/** Null where there is none, or it is none; one of no size shows nothing. */
export function viewBoxOf(text: string | undefined): ViewBox | null {
  const n = numbersIn(text ?? "");
  const [x, y, width, height] = n;
  return n.length === 4 && n.every(Number.isFinite) && width >= 0 && height >= 0
    ? { x, y, width, height }
    : null;
}

/** Shares of the room left over that stand before what is shown, as `preserveAspectRatio` names them. */
const ALIGNED = { Min: 0, Mid: 0.5, Max: 1 } as const;

/** How a view box lies in the room that it has: stretched, or enlarged alike until it fits in it or fills it. */
interface Fitted {
  readonly alignX: number;
  readonly alignY: number;
  readonly how: "none" | "meet" | "slice";
}

function fittedBy(text: string | undefined): Fitted {
  const words = /^(none|x(Min|Mid|Max)Y(Min|Mid|Max))(?:\s+(meet|slice))?$/.exec((text ?? "").trim());
  if (!words) return { alignX: 0.5, alignY: 0.5, how: "meet" };
  if (words[1] === "none") return { alignX: 0, alignY: 0, how: "none" };
  const share = (word: string) => ALIGNED[word as keyof typeof ALIGNED];
  return {
    alignX: share(words[2]),
    alignY: share(words[3]),
    how: words[4] === "slice" ? "slice" : "meet",
  };
}

/**
 * The map from the coordinates in a view box to a room of a size at the origin.
 * @see SVG 2, 8.2 and 8.6 (from memory).
 */
export function viewBoxMap(
  box: ViewBox,
  room: { readonly width: number; readonly height: number },
  preserveAspectRatio: string | undefined,
): Affine {
  const { how, alignX, alignY } = fittedBy(preserveAspectRatio);
  const [across, down] = [room.width / box.width, room.height / box.height];
  const alike = how === "slice" ? Math.max(across, down) : Math.min(across, down);
  const [sx, sy] = how === "none" ? [across, down] : [alike, alike];
  const at = shifted(alignX * (room.width - sx * box.width), alignY * (room.height - sy * box.height));
  return after(at, after(stretched(sx, sy), shifted(-box.x, -box.y)));
}

/** A length in mm; null without a unit, in pixels, or as a share of something. */
function lengthMm(text: string | undefined): number | null {
  const measure = measureIn(text ?? "");
  const mm = measure ? measure.value * (UNIT_MM.get(measure.unit.toLowerCase()) ?? Number.NaN) : Number.NaN;
  return mm > 0 && Number.isFinite(mm) ? mm : null;
}

/** How a whole drawing stands: its size, by what of it is stated. */
export interface Outermost {
  /** Millimetres to a unit of its coordinates; null where nothing says so, as of pixels. */
  readonly mmPerUnit: number | null;
  /** How much farther its heights are stretched than its lengths. */
  readonly stretch: number;
  /** The box that shares are of, and that hides what lies outside it where it is known whole. */
  readonly viewport: Viewport;
  readonly shown: ViewBox | null;
}

/** A size of the outermost window in pixels; null of a share, and where nothing is said. */
function statedPx(text: string | undefined): number | null {
  const px = text?.includes("%") ? 0 : lengthIn(text, "x", { width: null, height: null });
  return px > 0 ? px : null;
}

/** What of its coordinates the outermost window shows: its view box, and more or less where it has another shape. */
function shownIn(
  box: ViewBox,
  width: number | null,
  height: number | null,
  fit: string | undefined,
): ViewBox {
  if (width === null || height === null) return box;
  const [sx, , , sy, ex, ey] = viewBoxMap(box, { width, height }, fit);
  return { x: -ex / sx, y: -ey / sy, width: width / sx, height: height / sy };
}

/** @see SVG 2, 8.2 (from memory) */
export function outermostOf(a: Readonly<Record<string, string | undefined>>): Outermost {
  const [widthMm, heightMm] = [lengthMm(a.width), lengthMm(a.height)];
  const [width, height] = [statedPx(a.width), statedPx(a.height)];
  const box = viewBoxOf(a.viewBox);
  if (!box || !(box.width > 0 && box.height > 0)) {
    const shown = width !== null && height !== null ? { x: 0, y: 0, width, height } : null;
    // Without a view box a unit is a pixel, which the true sizes beside it give its size.
    const sized = widthMm !== null || heightMm !== null;
    return { mmPerUnit: sized ? MM_PER_PX : null, stretch: 1, viewport: { width, height }, shown };
  }
  const viewport: Viewport = { width: box.width, height: box.height };
  const shown = shownIn(box, width, height, a.preserveAspectRatio);
  const [across, down] = [widthMm && widthMm / box.width, heightMm && heightMm / box.height];
  const { how } = fittedBy(a.preserveAspectRatio);
  if (across !== null && down !== null && how === "none")
    return { mmPerUnit: across, stretch: down / across, viewport, shown };
  const sizes = [across, down].filter((s) => s !== null);
  const pick = how === "slice" ? Math.max : Math.min;
  return { mmPerUnit: sizes.length > 0 ? pick(...sizes) : null, stretch: 1, viewport, shown };
}
