import { memo } from "react";
import { MM_PER_INCH } from "@/core/base/units/length";
import type { UnitSystem } from "@/core/base/units/print";
import { color } from "../kit/theme";
import type { Scale } from "./path";
import { DrawnText } from "./Text";

interface RulerProps {
  readonly scale: Scale;
  /** px of the ruler's line. */
  readonly y: number;
  readonly fromMm: number;
  readonly toMm: number;
  readonly units: UnitSystem;
}

/** Ticks and figures from the datum: 0 at the handle's front, in the maker's units. */
export const Ruler = memo(function Ruler({ scale, y, fromMm, toMm, units }: RulerProps) {
  const unitMm = units === "metric" ? 1 : MM_PER_INCH;
  const steps = units === "metric" ? [10, 20, 50, 100] : [0.5, 1, 2, 5];
  const step = steps.find((s) => s * unitMm * scale.pxPerMm >= 44) ?? steps[steps.length - 1];
  const ticks: number[] = [];
  for (let n = Math.ceil(fromMm / unitMm / step); n * step * unitMm <= toMm; n++) ticks.push(n * step);
  const x = (v: number) => scale.originX + v * unitMm * scale.pxPerMm;
  return (
    <g stroke={color("line")} strokeWidth="1">
      <line
        x1={scale.originX + fromMm * scale.pxPerMm}
        x2={scale.originX + toMm * scale.pxPerMm}
        y1={y}
        y2={y}
      />
      {ticks.map((v) => (
        <g key={v}>
          <line x1={x(v)} x2={x(v)} y1={y} y2={y + (v === 0 ? 8 : 5)} />
          <DrawnText x={x(v)} y={y + 20} anchor="middle" size={12}>
            {v < 0 ? `−${-v}` : v}
          </DrawnText>
        </g>
      ))}
    </g>
  );
});
