import { radians } from "../../../base/number";
import type { Profile } from "../../../geometry/curve/profile";
import { type Line, lineAt, shifted } from "../../../geometry/solids/line";
import type { Loft } from "../../../geometry/solids/loft";
import type { ScalesHandle } from "../../design/schema";
import { followsFrom, type HandleForm, waisted } from "../../shapes/handleBody";
import { scalesSpan } from "../../shapes/scaleEnd";
import { linersThickness } from "../../shapes/scales";

/** A plane that takes a corner off an end, from a station toward that end. */
interface BevelFace {
  readonly line: Line;
  readonly fromX: number;
  /** The end that it is at: 1 the front, −1 the rear. */
  readonly toward: 1 | -1;
}

/** The plane of a bevel, on one side: it begins on the finished surface so far from the end, and falls toward it. */
function bevelFace(
  bevel: ScalesHandle["frontBevel"],
  end: number,
  toward: 1 | -1,
  crownAt: (x: number) => number,
): BevelFace[] {
  if (!bevel) return [];
  const fromX = end - toward * bevel.lengthMm;
  const slope = -toward * Math.tan(radians(bevel.angleDeg));
  return [{ line: { at0: crownAt(fromX) - fromX * slope, slope }, fromX, toward }];
}

export function scalesLoft(
  handle: ScalesHandle,
  { outline, span, tangFace, crowns, sections }: HandleForm,
  xRange: readonly [number, number],
): Loft {
  const linersMm = linersThickness(handle);
  const [rear, front] = scalesSpan(handle, span);
  const side = (crown: Profile, scaleMm: number) => {
    const stock = shifted(tangFace, linersMm + scaleMm);
    const finished = (x: number) => Math.min(crown.at(x), lineAt(stock, x));
    const bevels = [
      ...bevelFace(handle.frontBevel, front, 1, finished),
      ...bevelFace(handle.rearBevel, rear, -1, finished),
    ];
    const capAt = (x: number) =>
      bevels.reduce(
        (top, b) => ((x - b.fromX) * b.toward >= 0 ? Math.min(top, lineAt(b.line, x)) : top),
        lineAt(stock, x),
      );
    const stations = bevels.flatMap(({ line, fromX, toward }) => {
      // Where the bevel runs out of the stock's own face, which falls with a tapering tang.
      const meets = (stock.at0 - line.at0) / (line.slope - stock.slope);
      return (meets - fromX) * toward > 0 ? [fromX, meets] : [fromX];
    });
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
      [rear, front],
      tangFace,
      linersMm,
      handle.right.thicknessMm,
      handle.left.thicknessMm,
      handle.frontBevel,
      handle.rearBevel,
    ],
  };
}
