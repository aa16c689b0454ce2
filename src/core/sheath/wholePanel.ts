import { joined } from "../geometry/contours/clip";
import type { Point } from "../geometry/curve/bezier";
import type { Panel, SheathPattern } from "./pattern";

/** Half the strip that joins two halves which meet on a fold, mm. */
const FOLD_MM = 0.005;

/** A panel as it is cut: of a fold-over both halves in one, mirrored about the fold. */
export function wholePanel({ name, outline }: Panel, foldY: number | null): readonly (readonly Point[])[] {
  if (name !== "front" || foldY === null) return [outline];
  const xs = outline.filter((p) => p.y > foldY - FOLD_MM).map((p) => p.x);
  const [x0, x1] = [Math.min(...xs), Math.max(...xs)];
  const strip = [
    { x: x0, y: foldY - FOLD_MM },
    { x: x1, y: foldY - FOLD_MM },
    { x: x1, y: foldY + FOLD_MM },
    { x: x0, y: foldY + FOLD_MM },
  ];
  return joined([outline, outline.map(({ x, y }) => ({ x, y: 2 * foldY - y })), strip]);
}

/** Where a panel is stitched, as it is cut: of a fold-over on both halves. */
export function holesIn(
  { name }: Panel,
  { stitches: { holes }, foldY }: Pick<SheathPattern, "stitches" | "foldY">,
): readonly Point[] {
  if (name === "belt-loop") return [];
  return name === "front" && foldY !== null
    ? [...holes, ...holes.map(({ x, y }) => ({ x, y: 2 * foldY - y }))]
    : holes;
}
