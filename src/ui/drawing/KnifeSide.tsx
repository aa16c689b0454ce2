import { memo } from "react";
import { radians } from "@/core/base/number";
import { grooveEdges } from "@/core/figures/views/grooveEdges";
import { drawnProtrusions } from "@/core/figures/views/protrusions";
import { slotContour } from "@/core/geometry/curve/shapes";
import type { Design } from "@/core/knife/design/schema";
import { layoutOf } from "@/core/knife/layout/layout";
import { color } from "../kit/theme";
import { BladeSide } from "./BladeSide";
import { hasExtras } from "./extent";
import { disc, FastenerFace } from "./FastenerFace";
import { Filled } from "./Filled";
import { HandleFace } from "./HandleFace";
import { chordPath, cubicPath, type Scale } from "./path";

interface SideProps {
  readonly design: Design;
  readonly scale: Scale;
  readonly line?: number;
}

/** The knife from its right side: blade with the lines of its grind, handle, pins, and what lies inside as hidden lines. */
export const KnifeSide = memo(function KnifeSide({ design, scale, line = 1 }: SideProps) {
  const { guard } = design;
  return (
    <g>
      <BladeSide design={design} scale={scale} line={line} />
      <HandleFace design={design} scale={scale} line={line} />
      {guard && !guard.mesh && <GuardPlates design={design} scale={scale} line={line} />}
      <Grooves design={design} scale={scale} line={line} />
      {hasExtras(design) && <Extras design={design} scale={scale} line={line} />}
      <HiddenLines design={design} scale={scale} line={line} />
      {design.fasteners.map((f) => (
        <FastenerFace key={f.id} fastener={f} scale={scale} line={line} />
      ))}
    </g>
  );
});

function GuardPlates({ design, scale, line = 1 }: SideProps) {
  return layoutOf(design).guardPlates.map(({ fromMm, material, outline }) => (
    <Filled key={fromMm} d={cubicPath(outline.cubics, scale)} material={material} line={line} />
  ));
}

/** Grooves across the right face. */
function Grooves({ design, scale, line = 1 }: SideProps) {
  return grooveEdges(design, "right").map(({ id, end, ends }) => (
    <path
      key={`${id}-${end}`}
      d={chordPath(ends, scale, false)}
      fill="none"
      stroke={color("ink")}
      strokeWidth={line * 0.6}
    />
  ));
}

/** Pommels, rings, collars, nuts: what the outlines do not show. */
function Extras({ design, scale, line = 1 }: SideProps) {
  const shapes = drawnProtrusions(design);
  return shapes.map((s, i) => {
    const d = s.loops.map((loop) => chordPath(loop, scale)).join("");
    const key = `${s.id}-${i}`;
    return s.hidden ? (
      <Dashed key={key} d={d} line={line} />
    ) : (
      <Filled opaque={s.covers} key={key} d={d} material={s.material} line={line} />
    );
  });
}

function Dashed({ d, line }: { d: string; line: number }) {
  return <path d={d} fill="none" stroke={color("ink")} strokeWidth={line * 0.8} strokeDasharray="4 3" />;
}

/** Tang, holes, slots and recess under the scales. */
function HiddenLines({ design, scale, line = 1 }: SideProps) {
  const { tang } = design;
  const { barOutline, outline, recess, buttX } = layoutOf(design);
  if (barOutline) return <Dashed d={cubicPath(barOutline.cubics, scale)} line={line} />;
  if (tang.kind !== "full") return null;
  const end = tang.short ? Math.max(buttX, -tang.short.lengthMm) : null;
  const ys = end === null ? [] : outline.cut(end);
  return (
    <>
      {tang.holes.map((h) => (
        <Dashed key={h.id} d={disc(scale, h.xMm, h.yMm, h.diameterMm / 2)} line={line} />
      ))}
      {tang.slots.map((s) => {
        const angle = radians(s.angleDeg);
        const contour = slotContour({ x: s.xMm, y: s.yMm }, s.lengthMm, s.widthMm, angle);
        return <Dashed key={s.id} d={cubicPath(contour.cubics, scale)} line={line} />;
      })}
      {recess && <Dashed d={cubicPath(recess.cubics, scale)} line={line} />}
      {end !== null && ys.length > 1 && (
        <Dashed
          d={chordPath(
            [
              { x: end, y: ys[0] },
              { x: end, y: ys[ys.length - 1] },
            ],
            scale,
            false,
          )}
          line={line}
        />
      )}
    </>
  );
}
