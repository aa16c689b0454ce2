import type { GreyImage } from "./image";
import { EDGE_REACH_SHARE } from "./picture";
import { type PhotoScale, type ScaleFailure, type TruePlane, truePlane } from "./planeScale";
import { sheetSeen } from "./sheetEdges";

/** What is doubtful about the sheet of paper that gives a photo its size. */
export type SheetDoubt =
  /** Opposite edges are bowed the same way: it does not lie flat. */
  | { readonly code: "curled-paper"; readonly bowMm: number }
  /** An edge is bowed, by no lens and no curl that is known. */
  | { readonly code: "bowed-edge"; readonly bowMm: number }
  /** The edges meet elsewhere than the corner that is marked farthest off. */
  | { readonly code: "corner-off"; readonly offMm: number };

/** The plane of a photo, what its lens bowed at most in the sheet's edges, and what is doubtful about the sheet. */
export interface PlaneSeen {
  readonly ok: true;
  readonly plane: TruePlane;
  readonly lensBowMm: number;
  readonly doubts: readonly SheetDoubt[];
}

/** An edge bowed by more than both is told, mm and px; a corner farther off than so, mm. */
const MOST_BOW_MM = 0.3;
const MOST_BOW_PX = 1.2;
const MOST_OFF_MM = 0.5;

/** The plane that a photo shows at true size, the bends of its lens taken out by a sheet's edges, and what those tell. */
export function planeIn(
  photo: GreyImage,
  scale: PhotoScale,
): PlaneSeen | ({ readonly ok: false } & ScaleFailure) {
  const reachPx = EDGE_REACH_SHARE * Math.max(photo.width, photo.height);
  const seen = scale.kind === "paper" ? sheetSeen(photo, scale.corners, reachPx) : null;
  const made = truePlane(photo, scale, seen?.lens);
  if (!made.ok) return made;
  if (!seen || scale.kind !== "paper") return { ...made, lensBowMm: 0, doubts: [] };
  const { pixelsPerMm } = made.plane;
  const doubts: SheetDoubt[] = [];
  const bows = seen.bowsPx.map((b) => b ?? 0);
  const most = Math.max(...bows.map(Math.abs));
  const bowMm = most / pixelsPerMm;
  if (most > MOST_BOW_PX && bowMm > MOST_BOW_MM) {
    const at = bows.findIndex((b) => Math.abs(b) === most);
    const across = bows[(at + 2) % 4];
    // One edge outward and the one across from it inward: both go the same way in the picture.
    const isCurled = bows[at] * across < 0 && Math.abs(across) > most / 3;
    doubts.push({ code: isCurled ? "curled-paper" : "bowed-edge", bowMm });
  }
  const offPx = Math.max(
    ...scale.corners.map((m) => Math.min(...seen.corners.map((c) => Math.hypot(c.x - m.x, c.y - m.y)))),
  );
  const offMm = offPx / pixelsPerMm;
  if (offMm > MOST_OFF_MM) doubts.push({ code: "corner-off", offMm });
  return { ...made, lensBowMm: seen.lensBowPx / pixelsPerMm, doubts };
}
