import { radians } from "../../../base/number";
import type { Profile } from "../../../geometry/curve/profile";
import { type Line, lineAt, shifted } from "../../../geometry/solids/line";
import type { Loft } from "../../../geometry/solids/loft";
import type { ScalesHandle } from "../../design/schema";
import { followsFrom, type HandleForm, waisted } from "../../shapes/handleBody";
import { linersThickness } from "../../shapes/scales";

/** The plane of a bevel of the front face, on one side: it begins on the finished surface so far behind the front. */
function bevelFace(
  { frontBevel }: ScalesHandle,
  front: number,
  crownAt: (x: number) => number,
): { readonly line: Line; readonly fromX: number } | null {
  if (!frontBevel) return null;
  const from = front - frontBevel.lengthMm;
  const fall = Math.tan(radians(frontBevel.angleDeg));
  return { line: { at0: crownAt(from) + from * fall, slope: -fall }, fromX: from };
}

export function scalesLoft(
  handle: ScalesHandle,
  { outline, span, tangFace, crowns, sections }: HandleForm,
  xRange: readonly [number, number],
): Loft {
  const linersMm = linersThickness(handle);
  const side = (crown: Profile, scaleMm: number) => {
    const stock = shifted(tangFace, linersMm + scaleMm);
    const bevel = bevelFace(handle, span[1], (x) => Math.min(crown.at(x), lineAt(stock, x)));
    const capAt = (x: number) => {
      const top = lineAt(stock, x);
      return bevel && x >= bevel.fromX ? Math.min(top, lineAt(bevel.line, x)) : top;
    };
    // Where the bevel runs out of the stock's own face, which falls with a tapering tang.
    const meets = bevel ? (stock.at0 - bevel.line.at0) / (bevel.line.slope - stock.slope) : Number.NaN;
    const stations = bevel ? [bevel.fromX, ...(meets > bevel.fromX ? [meets] : [])] : [];
    return { surface: { crown, land: (x: number) => lineAt(tangFace, x), cap: capAt }, stations };
  };
  const onRight = side(waisted(crowns.right, handle.waist), handle.right.thicknessMm);
  const onLeft = side(waisted(crowns.left, handle.waist), handle.left.thicknessMm);
  return {
    outline,
    xRange,
    right: onRight.surface,
    left: onLeft.surface,
    sectionAt: sections.at,
    stations: [...sections.stations, ...onRight.stations, ...onLeft.stations],
    from: [
      ...followsFrom(handle),
      span[1],
      tangFace,
      linersMm,
      handle.right.thicknessMm,
      handle.left.thicknessMm,
      handle.frontBevel,
    ],
  };
}
