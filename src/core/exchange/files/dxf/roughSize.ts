import type { Known, Parsed, Place } from "dxf";

/** About how large a drawing is, from the coordinates that stand in it; 1 of nothing. */
export function roughSize(dxf: Parsed): number {
  let [low, high] = [Number.POSITIVE_INFINITY, Number.NEGATIVE_INFINITY];
  const take = (place: Place, reach = 0) => {
    for (const value of [place.x ?? 0, place.y ?? 0]) {
      if (!Number.isFinite(value) || !Number.isFinite(reach)) continue;
      low = Math.min(low, value - reach);
      high = Math.max(high, value + reach);
    }
  };
  for (const list of [dxf.entities, ...dxf.blocks.map((b) => b.entities ?? [])])
    for (const e of list as Known[]) {
      if (e.type === "LINE") for (const p of [e.start, e.end]) take(p);
      else if (e.type === "LWPOLYLINE" || e.type === "POLYLINE") for (const p of e.vertices) take(p);
      else if (e.type === "SPLINE") for (const p of e.controlPoints) take(p);
      else if (e.type === "CIRCLE" || e.type === "ARC") take(e, e.r ?? 0);
      else if (e.type === "ELLIPSE") take(e, Math.hypot(e.majorX ?? 0, e.majorY ?? 0));
    }
  return high > low ? high - low : 1;
}
