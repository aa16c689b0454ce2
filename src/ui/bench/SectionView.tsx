"use client";
import { Box, Slider, Text } from "@chakra-ui/react";
import { useDeferredValue, useMemo } from "react";
import { assemble } from "@/core/assembly/assemble";
import type { Assembly } from "@/core/assembly/types";
import type { Slice } from "@/core/solids/region";
import { printLength } from "@/core/units/print";
import { Filled } from "../drawing/Filled";
import { DrawnText } from "../drawing/Text";
import { color } from "../theme";
import { useBench, useStation } from "./BenchContext";

const ROWS = 72;

interface SectionViewProps {
  readonly pxPerMm: number;
  readonly axisY: number;
  readonly width: number;
  readonly height: number;
  readonly xRange: readonly [number, number];
}

/**
 * The cut at the station under the cursor, seen from the butt: level with the side view, so that heights run across.
 */
export function SectionView({ pxPerMm, axisY, width, height, xRange }: SectionViewProps) {
  const { design, units } = useBench();
  const { stationMm, setStationMm } = useStation();
  // Drawn a moment later than what is dragged, when there is time.
  const later = useDeferredValue(design);
  const assembly = useMemo(() => assemble(later), [later]);
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
    <Box>
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
        {shapes.map((s) =>
          s.material ? (
            <Filled key={s.id} d={path(s)} material={s.material} />
          ) : (
            <path key={s.id} d={path(s)} fill={color("sheet")} stroke={color("ink")} />
          ),
        )}
        <DrawnText x={6} y={height - 6} size={12}>
          left
        </DrawnText>
        <DrawnText x={width - 6} y={height - 6} size={12} anchor="end">
          right
        </DrawnText>
      </svg>
      <Text fontSize="sm" px="2" lineHeight="1.25">
        <b>Section</b> {where} {design.guard ? "the guard's front" : "the front"},{" "}
        <span style={{ whiteSpace: "nowrap" }}>{printLength(thickest, units)} thick</span>
      </Text>
      <Slider.Root
        size="sm"
        colorPalette="gray"
        px="3"
        mt="1"
        aria-label={["Station of the section"]}
        min={Math.round(xRange[0])}
        max={Math.round(xRange[1])}
        step={1}
        value={[Math.round(stationMm)]}
        onValueChange={(e) => setStationMm(e.value[0])}
      >
        <Slider.Control>
          <Slider.Track>
            <Slider.Range />
          </Slider.Track>
          <Slider.Thumbs />
        </Slider.Control>
      </Slider.Root>
    </Box>
  );
}

interface SectionShape {
  readonly id: string;
  /** Null for a void. */
  readonly material: string | null;
  /** (y, z) in mm. */
  readonly points: readonly (readonly [number, number])[];
}

/** What each part fills at x, the last in precedence first: drawn in this order, earlier parts cover later ones. */
function sectionShapes({ regions, parts }: Assembly, x: number): SectionShape[] {
  const slices = regions.map((r) => (x > r.xRange[0] && x < r.xRange[1] ? r.sliceAt(x) : null));
  return [...parts].reverse().flatMap((part): SectionShape[] => {
    const of = part.regions.map((r) => slices[r]);
    if (of.some((s) => !s)) return [];
    const cuts = of as Slice[];
    const bounded = cuts.filter((s) => s.ys !== null);
    const lowest = Math.max(...bounded.map((s) => s.ys![0] ?? Number.POSITIVE_INFINITY));
    const highest = Math.min(...bounded.map((s) => s.ys![s.ys!.length - 1] ?? Number.NEGATIVE_INFINITY));
    if (!(highest > lowest)) return [];
    const left: [number, number][] = [];
    const right: [number, number][] = [];
    for (let i = 0; i <= ROWS; i++) {
      // Rows crowd toward the ends, where sections close steeply.
      const y = (lowest + highest) / 2 - ((highest - lowest) / 2 - 1e-9) * Math.cos((Math.PI * i) / ROWS);
      const low = Math.max(...cuts.map((s) => s.low(y)));
      const high = Math.min(...cuts.map((s) => s.high(y)));
      if (high < low) continue;
      left.push([y, low]);
      right.push([y, high]);
    }
    if (left.length < 2) return [];
    return [
      { id: part.id, material: part.made[0]?.materialId ?? null, points: [...left, ...right.reverse()] },
    ];
  });
}
