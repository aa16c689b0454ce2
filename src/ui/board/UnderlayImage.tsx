"use client";
import { placingMap } from "@/core/exchange/pattern/placing";
import { through } from "@/core/geometry/curve/affine";
import type { Underlay } from "@/store/tables/photos";
import { useUnderlay } from "@/store/underlays";
import { usePicture } from "@/store/usePicture";
import { type Scale, toPx } from "../drawing/path";
import { useBench } from "../session/BenchContext";

/** The photo at true size, faded over the drawing's fill and under its points: both are seen while a point is dragged. */
export function UnderlayImage({ scale }: { scale: Scale }) {
  const { knifeId } = useBench();
  const underlay = useUnderlay(knifeId);
  const picture = usePicture(underlay?.shown ? underlay.picture : null);
  if (!underlay?.shown || picture === null) return null;
  return (
    <image
      href={picture}
      width={underlay.widthMm}
      height={underlay.heightMm}
      preserveAspectRatio="none"
      opacity={underlay.opacity}
      transform={`matrix(${matrixOf(underlay, scale).join(" ")})`}
      pointerEvents="none"
      data-testid="underlay"
    />
  );
}

/** From the picture's own mm, down from its upper left corner, to the drawing's pixels. */
function matrixOf({ datumX, datumY, tipDeg, mirrored, heightMm }: Underlay, scale: Scale): number[] {
  const map = placingMap({ datum: { x: datumX, y: datumY }, tipDeg, mirrored });
  const at = (u: number, v: number) => {
    const { x, y } = through(map, { x: u, y: heightMm - v });
    return toPx(scale, x, y);
  };
  const [o, a, b] = [at(0, 0), at(1, 0), at(0, 1)];
  return [a[0] - o[0], a[1] - o[1], b[0] - o[0], b[1] - o[1], o[0], o[1]];
}
