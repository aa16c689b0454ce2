import { valueAt } from "../../base/record/path";
import { halvesOf, lengthwiseOf } from "../../knife/design/handleParts";
import type { CurvePoint, Design } from "../../knife/design/schema";
import { placeFields } from "./boredPoints";
import { type BenchPoint, type CurveName, setHeld, setPlace } from "./types";

/** Points of a joint along the handle, and of halves of a shape of their own. */
function curvePoints(handle: Design["handle"]): BenchPoint[] {
  const of = (points: readonly CurvePoint[], list: string, prefix: string, curve: CurveName, least: number) =>
    points.map(
      (p, i): BenchPoint => ({
        id: `${prefix}-${p.id}`,
        name: { point: "on-curve", curve, number: i + 1 },
        at: { x: p.xMm, y: p.yMm },
        corner: p.corner,
        move: (d, to) => setPlace(d, list, p.id, to),
        remove:
          points.length > least
            ? (d) => {
                const now = valueAt(d, list) as CurvePoint[];
                now.splice(i, 1);
              }
            : undefined,
        fields: placeFields(`${list}.${i}`),
      }),
    );
  const lengthwise = lengthwiseOf(handle);
  const joint = lengthwise
    ? of(lengthwise.points, "handle.lengthwise.points", "lengthwise", "lengthwise", 2)
    : [];
  return [
    ...joint,
    ...halvesOf(handle).flatMap(({ id, end, shape }, i) =>
      shape.kind === "outline" ? of(shape.points, `handle.halves.${i}.shape.points`, id, end, 3) : [],
    ),
  ];
}

/** An end of a wrap; of a second one it says which. */
function wrapEnd(wraps: Design["handle"]["wraps"], i: number, key: "fromMm" | "toMm"): BenchPoint {
  const path = `handle.wraps.${i}.${key}`;
  return {
    id: `wrap-${i + 1}-${key}`,
    name: {
      point: key === "fromMm" ? "wrap-beginning" : "wrap-end",
      number: wraps.length > 1 ? i + 1 : null,
    },
    at: { x: wraps[i][key], y: 0 },
    corner: true,
    move: (d, to) => setHeld(d, path, Math.min(0, to.x)),
    fields: [{ path, behind: true }],
  };
}

/** The ends of wraps, and grooves across the handle. */
export function gripPoints({ handle }: Design): BenchPoint[] {
  const { wraps, grooves } = handle;
  const ends = wraps.flatMap((wrap, i) =>
    wrap.on === "grip" ? (["fromMm", "toMm"] as const).map((key) => wrapEnd(wraps, i, key)) : [],
  );
  return [
    ...curvePoints(handle),
    ...ends,
    ...grooves.map(
      (g, i): BenchPoint => ({
        id: g.id,
        name: { point: "groove", number: i + 1 },
        at: { x: g.xMm, y: 0 },
        radiusMm: g.diameterMm / 2,
        move: (d, to) => setHeld(d, `handle.grooves.${i}.xMm`, to.x),
        remove: (d) => void d.handle.grooves.splice(i, 1),
        fields: [
          { path: `handle.grooves.${i}.xMm`, behind: true },
          { path: `handle.grooves.${i}.diameterMm` },
          { path: `handle.grooves.${i}.depthMm` },
        ],
      }),
    ),
  ];
}
