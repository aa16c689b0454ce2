/** A box on a drawing: its left upper corner and its size, px. */
export interface Box {
  readonly x: number;
  readonly y: number;
  readonly w: number;
  readonly h: number;
}

/** Width of a line of text, px: letters of the drawing's type are about so wide, for each px of its size. */
const LETTER = 0.54;
export const textWidth = (text: string, size: number): number => text.length * size * LETTER;

/** Whether two boxes lie over each other. */
export const overlap = (a: Box, b: Box): boolean =>
  a.x < b.x + b.w && b.x < a.x + a.w && a.y < b.y + b.h && b.y < a.y + a.h;

/** The first of several places that lies over nothing and inside its frame; null where there is none. */
export function firstFree(
  places: readonly Box[],
  taken: readonly Box[],
  frame: Box | null = null,
): Box | null {
  const inside = (b: Box) =>
    frame === null ||
    (b.x >= frame.x && b.y >= frame.y && b.x + b.w <= frame.x + frame.w && b.y + b.h <= frame.y + frame.h);
  return places.find((p) => inside(p) && !taken.some((t) => overlap(p, t))) ?? null;
}

/** Places round a point for a label, the nearest first, upward before downward. */
export function placesRound(x: number, y: number, w: number, h: number, mostPx = 90): Box[] {
  const places: Box[] = [];
  for (let r = 0; r <= mostPx; r += 6)
    for (const deg of r === 0 ? [0] : [-90, -60, -120, -30, -150, 0, 180, 30, 150, 60, 120, 90]) {
      const [dx, dy] = [Math.cos((deg * Math.PI) / 180) * r, Math.sin((deg * Math.PI) / 180) * r];
      places.push({ x: x + dx - w / 2, y: y + dy - h / 2, w, h });
    }
  return places;
}
