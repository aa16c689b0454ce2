import { useId } from "react";
import { radians } from "@/core/base/number";
import { INSIDE_MM, SAME_PLACE_MM } from "@/core/base/tolerances";
import { faceCells } from "@/core/figures/views/cells";
import type { Contour } from "@/core/geometry/curve/contour";
import { ellipseContour } from "@/core/geometry/curve/shapes";
import type { Cylinder } from "@/core/geometry/solids/region";
import { lengthwiseOf } from "@/core/knife/design/handleParts";
import type { Design } from "@/core/knife/design/schema";
import { layoutOf } from "@/core/knife/layout/layout";
import type { CutAcross } from "@/core/knife/parts/cells";
import { lengthwiseFaces } from "@/core/knife/shapes/lengthwise";
import { color } from "../kit/theme";
import { Filled } from "./Filled";
import { cubicPath, type Scale, toPx } from "./path";

/** Heights that cuts are drawn between, mm: beyond any handle. */
const FAR = 400;

/** The right scale in its segments, or the pieces of the handle, each cut from the outline. */
export function HandleFace({ design, scale, line }: { design: Design; scale: Scale; line: number }) {
  const clip = useId();
  const { outline: contour } = layoutOf(design);
  const d = cubicPath(contour.cubics, scale);
  const butt = contour.xRange[0];
  const cells = faceCells(design);
  const { handle } = design;
  const lengthwise = lengthwiseFaces(lengthwiseOf(handle));
  const faces = cells.map((cell, i) => {
    const ends = i === cells.length - 1 && cell.rear.xMm > butt + SAME_PLACE_MM;
    // At the butt the outline's line lies half outside.
    const rear =
      cell.rear.xMm <= butt + SAME_PLACE_MM ? { xMm: butt - 4 / scale.pxPerMm, tiltDeg: 0 } : cell.rear;
    const corners = [at(cell.front, FAR), at(cell.front, -FAR), at(rear, -FAR), at(rear, FAR)];
    return (
      <g key={cell.id}>
        {cell.wheel && <Hollow wheel={cell.wheel} material={cell.material} {...{ scale, line, clip }} />}
        <clipPath id={`${clip}-${i}`}>
          <polygon points={corners.map(([x, y]) => toPx(scale, x, y).join(",")).join(" ")} />
        </clipPath>
        <g clipPath={`url(#${clip}-${i})`}>
          <Filled d={d} material={cell.material} line={line * 1.2} opaque={cell.wheel !== undefined} />
          {cell.parted &&
            // What takes first is drawn last, over the other.
            [...lengthwise].reverse().map(({ kind, material, outline }) => (
              <g key={kind} clipPath={`url(#${clip}-handle)`}>
                <Filled opaque d={cubicPath(outline.cubics, scale)} material={material} line={line} />
              </g>
            ))}
        </g>
        <CutLine contour={contour} cut={cell.front} scale={scale} line={line} />
        {ends && <CutLine contour={contour} cut={cell.rear} scale={scale} line={line} />}
      </g>
    );
  });
  if (lengthwise.length === 0 && !cells.some((c) => c.wheel)) return faces;
  return (
    <>
      <clipPath id={`${clip}-handle`}>
        <path d={d} />
      </clipPath>
      {faces}
    </>
  );
}

/** What a wheel leaves bare of what lies ahead, within the handle's outline. */
function Hollow(props: { wheel: Cylinder; material: string; scale: Scale; line: number; clip: string }) {
  const { wheel, material, scale, line, clip } = props;
  const { cubics } = ellipseContour({ x: wheel.xMm, y: wheel.yMm }, wheel.radiusMm, wheel.radiusMm);
  return (
    <g clipPath={`url(#${clip}-handle)`}>
      <Filled opaque d={cubicPath(cubics, scale)} material={material} line={line} />
    </g>
  );
}

function at(cut: CutAcross, y: number): [number, number] {
  return [cut.xMm + y * Math.tan(radians(cut.tiltDeg)), y];
}

/** The face between two pieces, or the front of the first. */
function CutLine(props: { contour: Contour; cut: CutAcross; scale: Scale; line: number }) {
  const { contour, cut, scale } = props;
  const ys = contour.cut(cut.xMm - INSIDE_MM);
  if (ys.length < 2) return null;
  const edge = (top: boolean) => {
    // Where the leaning line leaves the outline: a few steps come close enough to draw.
    let y = top ? ys[ys.length - 1] : ys[0];
    for (let k = 0; k < 4 && cut.tiltDeg !== 0; k++) {
      const there = contour.cut(at(cut, y)[0]);
      if (there.length > 1) y = top ? there[there.length - 1] : there[0];
    }
    return toPx(scale, ...at(cut, y));
  };
  const [[x1, y1], [x2, y2]] = [edge(true), edge(false)];
  return <line x1={x1} y1={y1} x2={x2} y2={y2} stroke={color("ink")} strokeWidth={props.line} />;
}
