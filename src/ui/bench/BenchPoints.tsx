"use client";
import type { Design } from "@/core/design/schema";
import { putAt, valueAt } from "@/core/edit/path";
import { printLength, type UnitSystem } from "@/core/units/print";
import { useUnits } from "@/store/settings";
import { type Scale, toPx } from "../drawing/path";
import { shownLimits } from "../fields/bound";
import { useBench, useDesign } from "./BenchContext";
import type { Bench } from "./benchState";
import { DragPoint } from "./DragPoint";
import type { PlaceTarget } from "./PlaceEditor";
import type { BenchPoint } from "./points/types";

/** "Length 96.0 mm, Middle above the axis 0.0 mm" */
function told(point: BenchPoint, design: Design, units: UnitSystem): string {
  return point.fields
    .map((f) => {
      const mm = valueAt(design, f.path);
      return typeof mm === "number"
        ? `${printLength((f.behind ? -1 : 1) * mm, units)} ${f.label.toLowerCase()}`
        : f.label;
    })
    .join(", ");
}

/** The points of one view, each dragged, nudged, typed and, where it can be, removed. */
export function BenchPoints(props: {
  points: readonly BenchPoint[];
  scale: Scale;
  onEdit: (id: string) => void;
}) {
  const { edit } = useBench();
  const design = useDesign();
  const units = useUnits();
  const { scale, onEdit } = props;
  return props.points.map((p) => {
    const { remove } = p;
    return (
      <DragPoint
        key={p.id}
        id={p.id}
        at={p.at}
        scale={scale}
        radius={p.radiusMm === undefined ? undefined : p.radiusMm * scale.pxPerMm}
        corner={p.corner}
        label={p.fields.length > 0 ? `${p.title}: ${told(p, design, units)}` : p.title}
        snaps={p.snaps}
        onMove={(to, gesture) => edit(`Move ${lower(p.title)}`, (d) => p.move(d, to), { gesture })}
        onRemove={remove && (() => edit(`Remove ${lower(p.title)}`, remove))}
        onEdit={() => p.fields.length > 0 && onEdit(p.id)}
      />
    );
  });
}

/** What the number editor shows for a point. */
export function pointTarget(
  point: BenchPoint,
  scale: Scale,
  design: Design,
  edit: Bench["edit"],
): PlaceTarget {
  return {
    title: point.title,
    px: toPx(scale, point.at.x, point.at.y),
    fields: point.fields.flatMap((f) => {
      const mm = valueAt(design, f.path);
      if (typeof mm !== "number") return [];
      const sign = f.behind ? -1 : 1;
      const limits = shownLimits(design, f.path, sign);
      const verb = f.label === "Diameter" ? "Resize" : "Move";
      return [
        {
          label: f.label,
          ...limits,
          mm: sign * mm + 0,
          onChange: (to: number) =>
            edit(`${verb} ${lower(point.title)}`, (d) => {
              putAt(d, f.path, sign * to + 0);
              point.after?.(d);
            }),
        },
      ];
    }),
  };
}

function lower(title: string): string {
  return title.charAt(0).toLowerCase() + title.slice(1);
}
