import { bladeHeights, bladeOutline } from "@/core/assembly/bladeOutline";
import { groundBlade } from "@/core/assembly/groundBlade";
import { handleOutline } from "@/core/assembly/handleOutline";
import type { Design } from "@/core/design/schema";
import { grindLine } from "@/core/solids/bladeRegion";
import { color } from "../theme";
import { Filled } from "./Filled";
import { chordPath, cubicPath, type Scale, toPx } from "./path";

/** The knife from its right side: blade with its grind line, scale, pins, and the tang's holes as hidden lines. */
export function KnifeSide({ design, scale, line = 1 }: { design: Design; scale: Scale; line?: number }) {
  const { blade, handle } = design;
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
      <Filled
        d={cubicPath(handleOutline(handle).cubics, scale)}
        material={handle.right.material}
        line={line * 1.2}
      />
      {design.tang.holes.map((h) => {
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
