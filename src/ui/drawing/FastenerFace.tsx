import type { Point } from "@/core/geometry/curve/bezier";
import { hexContour } from "@/core/geometry/curve/shapes";
import type { FaceMark } from "@/core/kinds/fasteners/kind";
import { type Fastener, kindOf } from "@/core/kinds/fasteners/registry";
import { color } from "../kit/theme";
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

/** A fastener's end as it shows from the right side: the marks that its kind gives. */
export function FastenerFace({ fastener: f, scale, line }: FaceProps) {
  return kindOf(f)
    .face(f)
    .map((mark, i) => (
      // biome-ignore lint/suspicious/noArrayIndexKey: marks are identified by their order
      <Mark key={i} at={{ x: f.xMm, y: f.yMm }} mark={mark} scale={scale} line={line} />
    ));
}

function Mark({ at, mark, scale, line }: { at: Point; mark: FaceMark; scale: Scale; line: number }) {
  switch (mark.shape) {
    case "disc": {
      const [dx, dy] = mark.offset ?? [0, 0];
      const d = disc(scale, at.x + dx, at.y + dy, mark.radiusMm);
      return <Face d={d} material={mark.material} line={line * (mark.line ?? 1)} />;
    }
    case "hexagon": {
      const d = cubicPath(hexContour(at, mark.acrossMm).cubics, scale);
      return <Face d={d} material={mark.material} line={line} />;
    }
    case "slot": {
      const half = mark.lengthMm / 2;
      const [[x1, y1], [x2, y2]] = [
        toPx(scale, at.x - half, at.y - half / 3),
        toPx(scale, at.x + half, at.y + half / 3),
      ];
      return <line x1={x1} y1={y1} x2={x2} y2={y2} stroke={color("ink")} strokeWidth={line * 1.6} />;
    }
    case "circle":
      return (
        <path
          d={disc(scale, at.x, at.y, mark.radiusMm)}
          fill="none"
          stroke={color("ink")}
          strokeWidth={line * (mark.hidden ? 0.8 : 0.5)}
          strokeDasharray={mark.hidden ? "4 3" : undefined}
        />
      );
  }
}

/** A face of a material, or what is open. */
function Face({ d, material, line }: { d: string; material: string | null; line: number }) {
  if (material) return <Filled d={d} material={material} line={line} />;
  return <path d={d} fill={color("sheet")} stroke={color("ink")} strokeWidth={line} />;
}
