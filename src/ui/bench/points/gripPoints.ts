import type { Design } from "@/core/design/schema";
import { type BenchPoint, setHeld } from "./types";

/** The ends of a wrap, and grooves across the handle. */
export function gripPoints({ handle }: Design): BenchPoint[] {
  const { wrap, grooves } = handle;
  const end = (key: "fromMm" | "toMm", title: string): BenchPoint[] =>
    wrap
      ? [
          {
            id: `wrap-${key}`,
            title,
            at: { x: wrap[key], y: 0 },
            corner: true,
            move: (d, to) => setHeld(d, `handle.wrap.${key}`, Math.min(0, to.x)),
            fields: [{ label: "Behind the front", path: `handle.wrap.${key}`, behind: true }],
          },
        ]
      : [];
  return [
    ...end("fromMm", "Wrap begins here"),
    ...end("toMm", "Wrap ends here"),
    ...grooves.map(
      (g, i): BenchPoint => ({
        id: g.id,
        title: `Groove ${i + 1}`,
        at: { x: g.xMm, y: 0 },
        radiusMm: g.diameterMm / 2,
        move: (d, to) => setHeld(d, `handle.grooves.${i}.xMm`, to.x),
        remove: (d) => void d.handle.grooves.splice(i, 1),
        fields: [
          { label: "Behind the front", path: `handle.grooves.${i}.xMm`, behind: true },
          { label: "Diameter", path: `handle.grooves.${i}.diameterMm` },
          { label: "Depth", path: `handle.grooves.${i}.depthMm` },
        ],
      }),
    ),
  ];
}
