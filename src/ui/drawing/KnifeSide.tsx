import { useId } from "react";
import { handleFront, pieceStations } from "@/core/assembly/assemble";
import { bladeHeights, bladeOutline } from "@/core/assembly/bladeOutline";
import { groundBlade } from "@/core/assembly/groundBlade";
import { guardOutline } from "@/core/assembly/guardOutline";
import { handleOutline } from "@/core/assembly/handleOutline";
import { hiddenTangOutline } from "@/core/assembly/hiddenTang";
import type { Contour } from "@/core/curve/contour";
import type { Design } from "@/core/design/schema";
import { holesOf } from "@/core/review/openings";
import { grindLine } from "@/core/solids/bladeRegion";
import { color } from "../theme";
import { Filled } from "./Filled";
import { chordPath, cubicPath, type Scale, toPx } from "./path";

/** The knife from its right side: blade with its grind line, scale, pins, and the tang's holes as hidden lines. */
export function KnifeSide({ design, scale, line = 1 }: { design: Design; scale: Scale; line?: number }) {
  const { blade } = design;
  const { spine, ricassoBottom } = bladeHeights(blade);
  const grind = grindLine(groundBlade(blade));
  const [plungeX, plungeTop] = toPx(scale, blade.ricassoMm, spine);
  const [, plungeBottom] = toPx(scale, blade.ricassoMm, ricassoBottom);
  return (
    <g>
      <Filled d={cubicPath(bladeOutline(blade).cubics, scale)} material={blade.steel} line={line} />
      <path d={chordPath(grind, scale, false)} fill="none" stroke={color("ink")} strokeWidth={line * 0.6} />
      {blade.ricassoMm > 0 && (
        <line
          x1={plungeX}
          x2={plungeX}
          y1={plungeTop}
          y2={plungeBottom}
          stroke={color("ink")}
          strokeWidth={line * 0.6}
        />
      )}
      <HandleFace design={design} scale={scale} line={line} />
      {design.guard && (
        <Filled
          d={cubicPath(guardOutline(design.guard).cubics, scale)}
          material={design.guard.material}
          line={line}
        />
      )}
      {design.tang.kind === "hidden" && (
        <path
          d={cubicPath(hiddenTangOutline(design.tang).cubics, scale)}
          fill="none"
          stroke={color("ink")}
          strokeWidth={line * 0.8}
          strokeDasharray="5 3"
        />
      )}
      {holesOf(design).map((h) => {
        const [cx, cy] = toPx(scale, h.xMm, h.yMm);
        const r = (h.diameterMm / 2) * scale.pxPerMm;
        return (
          <circle
            key={h.id}
            cx={cx}
            cy={cy}
            r={r}
            fill="none"
            stroke={color("ink")}
            strokeWidth={line * 0.8}
            strokeDasharray="4 3"
          />
        );
      })}
      {design.fasteners.map((f) => (
        <FastenerFace key={f.id} fastener={f} scale={scale} line={line} />
      ))}
    </g>
  );
}

/** The right scale, or the pieces of the handle, each cut from its outline. */
function HandleFace({ design, scale, line }: { design: Design; scale: Scale; line: number }) {
  const clip = useId();
  const { handle } = design;
  const contour = handleOutline(handle);
  const d = cubicPath(contour.cubics, scale);
  const [butt, front] = [contour.xRange[0], handleFront(design)];
  const pieces = handle.kind === "stack" ? handle.pieces : [{ id: "scale", material: handle.right.material }];
  const ranges = handle.kind === "stack" ? pieceStations(handle, front, butt) : [[butt, front]];
  return pieces.map((piece, i) => {
    const [to, from] = ranges[i];
    // The last piece's outline is stroked whole: its line lies half outside.
    const [left] = toPx(scale, to, 0);
    const [right] = toPx(scale, from, 0);
    const beyond = i === pieces.length - 1 ? 4 : 0;
    return (
      <g key={piece.id}>
        <clipPath id={`${clip}-${i}`}>
          <rect x={left - beyond} y={-2000} width={Math.max(0, right - left + beyond)} height={6000} />
        </clipPath>
        <g clipPath={`url(#${clip}-${i})`}>
          <Filled d={d} material={piece.material} line={line * 1.2} />
        </g>
        <CutLine contour={contour} x={from} scale={scale} line={line} />
      </g>
    );
  });
}

/** The face between two pieces, or the front of the first. */
function CutLine({ contour, x, scale, line }: { contour: Contour; x: number; scale: Scale; line: number }) {
  const ys = contour.cut(x - 1e-6);
  if (ys.length < 2) return null;
  const [px, y0] = toPx(scale, x, ys[0]);
  const [, y1] = toPx(scale, x, ys[ys.length - 1]);
  return <line x1={px} x2={px} y1={y0} y2={y1} stroke={color("ink")} strokeWidth={line} />;
}

function disc(scale: Scale, x: number, y: number, radiusMm: number): string {
  const [cx, cy] = toPx(scale, x, y);
  const r = radiusMm * scale.pxPerMm;
  return `M${cx - r} ${cy}a${r} ${r} 0 1 0 ${2 * r} 0a${r} ${r} 0 1 0 ${-2 * r} 0Z`;
}

function FastenerFace({
  fastener: f,
  scale,
  line,
}: {
  fastener: Design["fasteners"][number];
  scale: Scale;
  line: number;
}) {
  const radius = f.diameterMm / 2;
  if (f.kind === "pin")
    return <Filled d={disc(scale, f.xMm, f.yMm, radius)} material={f.material} line={line} />;
  if (f.kind === "lanyard-tube") {
    return (
      <>
        <Filled d={disc(scale, f.xMm, f.yMm, radius)} material={f.material} line={line} />
        <path
          d={disc(scale, f.xMm, f.yMm, f.boreMm / 2)}
          fill={color("sheet")}
          stroke={color("ink")}
          strokeWidth={line}
        />
      </>
    );
  }
  // A patterned pin: its tube, its fill, and six rods in a ring round a seventh.
  const inner = radius * Math.sqrt(Math.max(0, 1 - f.tube.share));
  const rod = radius * Math.sqrt(f.rods.share / 7);
  const ring = Math.max(0, inner - rod * 1.05);
  const places = [
    { x: 0, y: 0 },
    ...Array.from({ length: 6 }, (_, i) => ({
      x: ring * 0.72 * Math.cos((i * Math.PI) / 3),
      y: ring * 0.72 * Math.sin((i * Math.PI) / 3),
    })),
  ];
  return (
    <>
      <Filled d={disc(scale, f.xMm, f.yMm, radius)} material={f.tube.material} line={line} />
      <Filled d={disc(scale, f.xMm, f.yMm, inner)} material={f.fill} line={line * 0.6} />
      {places.map((p) => (
        <Filled
          key={`${p.x},${p.y}`}
          d={disc(scale, f.xMm + p.x, f.yMm + p.y, rod)}
          material={f.rods.material}
          line={line * 0.5}
        />
      ))}
    </>
  );
}
