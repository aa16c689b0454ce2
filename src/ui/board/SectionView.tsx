"use client";
import { memo, useMemo } from "react";
import { printLength, type UnitSystem } from "@/core/base/units/print";
import { assembleDrawn } from "@/core/figures/views/drawn";
import { type SectionShape, sectionShapes } from "@/core/figures/views/section";
import type { Design } from "@/core/knife/design/schema";
import { useUnits } from "@/store/settings";
import { datumWords } from "@/words/balance";
import { Filled } from "../drawing/Filled";
import { DrawnText } from "../drawing/Text";
import { RangeField } from "../fields/RangeField";
import { color } from "../kit/theme";
import { useBench, useBenchState, useLaterDesign } from "../session/BenchContext";

interface SectionViewProps {
  readonly pxPerMm: number;
  readonly axisY: number;
  readonly width: number;
  readonly height: number;
  readonly xRange: readonly [number, number];
}

/** The cut at the station under the cursor. */
export function SectionView({ xRange, ...place }: SectionViewProps) {
  const units = useUnits();
  const { setStationMm } = useBench();
  const stationMm = useBenchState((s) => s.stationMm);
  const later = useLaterDesign();
  return (
    <div>
      <Cut design={later} units={units} stationMm={stationMm} {...place} />
      <StationSlider
        low={Math.round(xRange[0])}
        high={Math.round(xRange[1])}
        at={Math.round(stationMm)}
        onChange={setStationMm}
      />
    </div>
  );
}

interface CutProps extends Omit<SectionViewProps, "xRange"> {
  readonly design: Design;
  readonly units: UnitSystem;
  readonly stationMm: number;
}

/** Seen from the butt, and level with the side view, so that heights run across. */
const Cut = memo(function Cut({ design, units, stationMm, pxPerMm, axisY, width, height }: CutProps) {
  const assembly = useMemo(() => assembleDrawn(design), [design]);
  const shapes = useMemo(() => sectionShapes(assembly, stationMm), [assembly, stationMm]);
  const middle = width / 2;
  const path = (s: SectionShape) =>
    `M${s.points.map(([y, z]) => `${(middle + z * pxPerMm).toFixed(2)} ${(axisY - y * pxPerMm).toFixed(2)}`).join("L")}Z`;
  const thickest =
    shapes.length > 0
      ? Math.max(...shapes.flatMap((s) => s.points.map(([, z]) => z))) -
        Math.min(...shapes.flatMap((s) => s.points.map(([, z]) => z)))
      : 0;
  const where =
    stationMm < 0 ? `${printLength(-stationMm, units)} behind` : `${printLength(stationMm, units)} ahead`;
  return (
    <>
      <svg
        width={width}
        height={height}
        role="img"
        aria-label={`Cross-section ${where}, ${printLength(thickest, units)} thick`}
      >
        <line
          x1={middle}
          x2={middle}
          y1="8"
          y2={height - 8}
          stroke={color("line")}
          strokeDasharray="14 4 2 4"
        />
        <line x1="0" x2={width} y1={axisY} y2={axisY} stroke={color("line")} strokeDasharray="14 4 2 4" />
        {shapes.map((s, i) =>
          s.material ? (
            // biome-ignore lint/suspicious/noArrayIndexKey: one part can have several pieces here
            <Filled opaque key={`${s.id}-${i}`} d={path(s)} material={s.material} />
          ) : (
            // biome-ignore lint/suspicious/noArrayIndexKey: one part can have several pieces here
            <path key={`${s.id}-${i}`} d={path(s)} fill={color("sheet")} stroke={color("ink")} />
          ),
        )}
        <DrawnText x={6} y={height - 6} size={12}>
          left
        </DrawnText>
        <DrawnText x={width - 6} y={height - 6} size={12} anchor="end">
          right
        </DrawnText>
      </svg>
      <p className="section-where">
        <b>Section</b> {where} {datumWords(design)},{" "}
        <span style={{ whiteSpace: "nowrap" }}>{printLength(thickest, units)} thick</span>
      </p>
    </>
  );
});
interface StationSliderProps {
  readonly low: number;
  readonly high: number;
  readonly at: number;
  readonly onChange: (mm: number) => void;
}

/** Where the section is taken; not drawn again with every change of the design. */
const StationSlider = memo(function StationSlider({ low, high, at, onChange }: StationSliderProps) {
  return (
    <div style={{ padding: "0 12px" }}>
      <RangeField
        label="Station of the section"
        value={at}
        min={low}
        max={high}
        step={1}
        onChange={onChange}
      />
    </div>
  );
});
