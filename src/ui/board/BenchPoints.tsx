"use client";
import { valueAt } from "@/core/base/record/path";
import { printLength, type UnitSystem } from "@/core/base/units/print";
import type { PointPlace } from "@/core/edit/fixed/pointEdits";
import type { BenchPoint } from "@/core/edit/points/types";
import type { Design } from "@/core/knife/design/schema";
import { useUnits } from "@/store/settings";
import { fieldName } from "@/words/fields";
import { small } from "@/words/grammar";
import { pointWords } from "@/words/points";
import { shownLimits } from "../bound/bound";
import { type Scale, toPx } from "../drawing/path";
import { useBench, useDesign, useStep } from "../session/BenchContext";
import type { Bench } from "../session/benchState";
import { DragPoint } from "./DragPoint";
import type { PlaceTarget } from "./PlaceEditor";

/** "Length 96.0 mm, Middle above the axis 0.0 mm" */
function numbersWords(point: BenchPoint, design: Design, units: UnitSystem): string {
  return point.fields
    .map((f) => {
      const mm = valueAt(design, f.path);
      const name = fieldName(f.path, design);
      return typeof mm === "number" ? `${printLength((f.behind ? -1 : 1) * mm, units)} ${small(name)}` : name;
    })
    .join(", ");
}

/** The points of one view, each dragged, nudged, typed and, where it can be, removed. */
export function BenchPoints(props: {
  view: PointPlace["view"];
  points: readonly BenchPoint[];
  scale: Scale;
  onEdit: (id: string) => void;
}) {
  const { edit } = useBench();
  const design = useDesign();
  const units = useUnits();
  const step = useStep();
  const { view, scale, onEdit } = props;
  return props.points.map((p) => {
    const place = { view, step, id: p.id, name: p.name };
    const title = pointWords(p.name);
    return (
      <DragPoint
        key={p.id}
        id={p.id}
        at={p.at}
        scale={scale}
        radius={p.radiusMm === undefined ? undefined : p.radiusMm * scale.pxPerMm}
        corner={p.corner}
        label={p.fields.length > 0 ? `${title}: ${numbersWords(p, design, units)}` : title}
        snaps={p.snaps}
        onMove={(to, gesture) => edit({ code: "move-point", ...place, to }, { gesture })}
        onRemove={p.remove && (() => edit({ code: "remove-point", ...place }))}
        onEdit={() => p.fields.length > 0 && onEdit(p.id)}
      />
    );
  });
}

/** What the number editor shows for a point. */
export function pointTarget(
  point: BenchPoint,
  of: Pick<PointPlace, "view" | "step">,
  scale: Scale,
  design: Design,
  edit: Bench["edit"],
): PlaceTarget {
  const place = { ...of, id: point.id, name: point.name };
  return {
    title: pointWords(point.name),
    px: toPx(scale, point.at.x, point.at.y),
    fields: point.fields.flatMap((f) => {
      const mm = valueAt(design, f.path);
      if (typeof mm !== "number") return [];
      const sign = f.behind ? -1 : 1;
      const limits = shownLimits(design, f.path, sign);
      return [
        {
          label: fieldName(f.path, design),
          ...limits,
          mm: sign * mm + 0,
          onChange: (to: number) => edit({ code: "type-point", ...place, path: f.path, to: sign * to + 0 }),
        },
      ];
    }),
  };
}
