import { memo, useMemo } from "react";
import { silhouette } from "@/core/figures/views/silhouette";
import type { Assembly } from "@/core/knife/parts/types";
import { Filled } from "../drawing/Filled";
import { chordPath, type Extent, type Scale } from "../drawing/path";

const loopsOf = ({ regions, parts }: Assembly) =>
  [...parts].reverse().flatMap((part, i) =>
    part.materials.length === 0
      ? []
      : [
          {
            key: `${part.id} ${i}`,
            material: part.materials[0].materialId,
            loops: silhouette(part.regions.map((r) => regions[r])),
          },
        ],
  );

/** Parts of an assembly from the right side, each filled: the drawing of a product that has none of its own. */
export const AssemblySide = memo(function AssemblySide(props: {
  readonly assembly: Assembly;
  readonly scale: Scale;
  readonly line?: number;
}) {
  const { assembly, scale, line = 1 } = props;
  const parts = useMemo(() => loopsOf(assembly), [assembly]);
  return parts.map((p) => (
    <Filled
      opaque
      key={p.key}
      d={p.loops.map((loop) => chordPath(loop, scale)).join("")}
      material={p.material}
      line={line}
    />
  ));
});

/** The box round an assembly from the side. */
export function assemblyExtent(assembly: Assembly): Extent {
  const points = loopsOf(assembly).flatMap((p) => p.loops.flat());
  const [xs, ys] = [points.map((p) => p.x), points.map((p) => p.y)];
  return {
    xLow: Math.min(0, ...xs),
    xHigh: Math.max(0, ...xs),
    yLow: Math.min(0, ...ys),
    yHigh: Math.max(0, ...ys),
  };
}
