import { hexContour } from "@/core/curve/shapes";
import type { Fastener } from "@/core/design/schema";
import { color } from "../theme";
import { Filled } from "./Filled";
import { cubicPath, type Scale, toPx } from "./path";

/** SVG path data of a disc. */
export function disc(scale: Scale, x: number, y: number, radiusMm: number): string {
  const [cx, cy] = toPx(scale, x, y);
  const r = radiusMm * scale.pxPerMm;
  return `M${cx - r} ${cy}a${r} ${r} 0 1 0 ${2 * r} 0a${r} ${r} 0 1 0 ${-2 * r} 0Z`;
}

interface FaceProps {
  readonly fastener: Fastener;
  readonly scale: Scale;
  readonly line: number;
}

/** A fastener's end as it shows from the right side. */
export function FastenerFace({ fastener: f, scale, line }: FaceProps) {
  const at = (radius: number) => disc(scale, f.xMm, f.yMm, radius);
  const hex = (across: number) => cubicPath(hexContour({ x: f.xMm, y: f.yMm }, across).cubics, scale);
  const open = (d: string, key: string) => (
    <path key={key} d={d} fill={color("sheet")} stroke={color("ink")} strokeWidth={line} />
  );
  const radius = f.diameterMm / 2;
  switch (f.kind) {
    case "pin":
      return <Filled d={at(radius)} material={f.material} line={line} />;
    case "lanyard-tube":
      return (
        <>
          <Filled d={at(radius)} material={f.material} line={line} />
          {open(at(f.boreMm / 2), "bore")}
        </>
      );
    case "blind-pin":
      return (
        <path
          d={at(radius)}
          fill="none"
          stroke={color("ink")}
          strokeWidth={line * 0.8}
          strokeDasharray="4 3"
        />
      );
    case "rivet":
      return (
        <>
          <Filled d={at(f.headMm / 2)} material={f.material} line={line} />
          <path d={at(radius)} fill="none" stroke={color("ink")} strokeWidth={line * 0.5} />
        </>
      );
    case "sleeve-bolt":
      return f.plug ? (
        <Filled d={at(f.headMm / 2)} material={f.plug} line={line} />
      ) : (
        <>
          <Filled d={at(f.headMm / 2)} material={f.material} line={line} />
          <path d={at(f.diameterMm / 2)} fill="none" stroke={color("ink")} strokeWidth={line * 0.5} />
        </>
      );
    case "cap-screw":
      if (f.plug) return <Filled d={at(f.counterboreMm / 2)} material={f.plug} line={line} />;
      return (
        <>
          {open(at(f.counterboreMm / 2), "counterbore")}
          <Filled d={at(f.headMm / 2)} material={f.material} line={line} />
          {open(hex(f.socketMm), "socket")}
        </>
      );
    case "nutted-rod":
      if (f.plug) return <Filled d={at(f.counterboreMm / 2)} material={f.plug} line={line} />;
      return (
        <>
          {open(at(f.counterboreMm / 2), "counterbore")}
          <Filled d={hex(f.nutAcrossMm)} material={f.material} line={line} />
          <Filled d={at(radius)} material={f.material} line={line} />
        </>
      );
    case "patterned-pin":
      return <PatternFace fastener={f} scale={scale} line={line} />;
  }
}

/** A patterned pin: its tube, its fill, and six rods in a ring round a seventh. */
function PatternFace(props: FaceProps & { fastener: Extract<Fastener, { kind: "patterned-pin" }> }) {
  const { fastener: f, scale, line } = props;
  const radius = f.diameterMm / 2;
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
