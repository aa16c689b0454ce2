import type { Design } from "../knife/design/schema";
import type { Edges } from "./cavity";
import { passed, type Station } from "./sections";
import type { SheathSettings } from "./settings";

/** Something about the fit, at its place. */
export type SheathNote =
  /** What has to go past makes it so much wider than the knife is there. */
  | { readonly code: "loose"; readonly xMm: number; readonly byMm: number }
  /** The knife's thickness makes the panel so much longer than its outline: it is stretched wet. */
  | { readonly code: "stretch"; readonly xMm: number; readonly share: number }
  /** The guard stands wider than the throat: it is cut to the guard. */
  | { readonly code: "guard"; readonly xMm: number; readonly widthMm: number };

/** More room than this is told, mm. */
const LOOSE_MM = 5;
/** So much longer than its outline a panel is stretched wet. Handbook, section 12. */
const STRETCH = 0.1;
/** As a share of the knife's height. */
const WIDE_ENOUGH = 0.6;

/** What there is to say of how a sheath fits, each where it is most. */
export function notesOf(
  { guard }: Design,
  stations: readonly Station[],
  { foldY, over, under }: Edges,
  { clearanceMm, style }: SheathSettings,
  throatMm: number,
): SheathNote[] {
  const room = passed(stations);
  const notes: SheathNote[] = [];
  const top = Math.max(...room.map((r) => r.highY));
  const tallest = Math.max(...room.map((r) => r.highY - r.lowY));
  const flat = (i: number) => (foldY ?? over[i]) - under[i];
  let [loose, looseAt, stretch, stretchAt] = [0, 0, 0, 0];
  stations.forEach((s, i) => {
    const more = s.lowY - room[i].lowY + (style === "two-panel" ? room[i].highY - s.highY : 0);
    if (more > loose) [loose, looseAt] = [more, s.xMm];
    const drawn = (foldY === null ? room[i].highY + clearanceMm : top) - room[i].lowY + clearanceMm;
    // Near the tip the panel is as narrow as its clearance: nothing of it is the profile's.
    if (drawn < tallest * WIDE_ENOUGH) return;
    const share = (flat(i) - (foldY === null ? 0 : foldY - top)) / drawn - 1;
    if (share > stretch) [stretch, stretchAt] = [share, s.xMm];
  });
  if (loose > LOOSE_MM) notes.push({ code: "loose", xMm: looseAt, byMm: loose });
  if (stretch > STRETCH) notes.push({ code: "stretch", xMm: stretchAt, share: stretch });
  if (guard && throatMm < 0) notes.push({ code: "guard", xMm: 0, widthMm: guard.aboveMm + guard.belowMm });
  return notes;
}
