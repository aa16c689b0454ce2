import type { ClosingZone } from "../../geometry/solids/closingZone";

/** What fills a stretch of every ray of a panel, between two surfaces: 2r is region r's lower face, 2r + 1 its upper. */
export interface Stretch {
  part: number;
  z0: number;
  z1: number;
  surface0: number;
  surface1: number;
}

/** A stretch of y on which the same parts lie between the same surfaces in the same order, by its place in the stretches. */
export interface OrderPanel {
  y0: number;
  y1: number;
  first: number;
  last: number;
  zone: ClosingZone | null;
  extra: number;
}

/** Writes a stretch into a list that is used over and over. */
export function putStretch(
  list: Stretch[],
  at: number,
  part: number,
  z0: number,
  z1: number,
  surface0: number,
  surface1: number,
): void {
  if (at === list.length) list.push({ part, z0, z1, surface0, surface1 });
  const s = list[at];
  s.part = part;
  s.z0 = z0;
  s.z1 = z1;
  s.surface0 = surface0;
  s.surface1 = surface1;
}
