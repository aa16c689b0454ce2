"use client";
import { Text } from "@chakra-ui/react";
import { useMemo, useState } from "react";
import { printLength } from "@/core/base/units/print";
import type { FitFigures } from "@/core/figures/fit/fitFigures";
import { thinnerTang, type Wall } from "@/core/figures/fit/walls";
import { layoutOf } from "@/core/knife/layout/layout";
import { toughnessOf } from "@/core/materials/working";
import { useUnits } from "@/store/settings";
import { KnifeSide } from "../drawing/KnifeSide";
import { toPx } from "../drawing/path";
import { DrawnText } from "../drawing/Text";
import { LengthField } from "../fields/LengthField";
import { useMaterialOf } from "../kit/materials";
import { color } from "../kit/theme";
import { Fact, Note, Section } from "../report/Section";
import { useDesign } from "../session/BenchContext";
import { Datum } from "../session/Datum";
import { useLimits } from "./useRules";

/** The thinnest wall between tang hole and surface along the handle, as a strip under the side view. */
export function WallsSection({ fit }: { fit: FitFigures }) {
  const materialOf = useMaterialOf();
  const design = useDesign();
  const units = useUnits();
  const [wantedMm, setWantedMm] = useState(3);
  const share = useMemo(
    () => (fit.thinnestWall ? thinnerTang(design, wantedMm) : null),
    [design, wantedMm, fit.thinnestWall],
  );
  const wall = fit.thinnestWall;
  if (!wall)
    return (
      <Section id="walls" title="Walls">
        <Text color="graphite">A full tang: there is no hole in a block to leave a wall round.</Text>
        <ScaleLeft fit={fit} />
      </Section>
    );
  return (
    <Section
      id="walls"
      title="Walls"
      settingsStay
      settings={
        <>
          <LengthField label="Wall wanted" mm={wantedMm} min={0.2} max={20} onChange={setWantedMm} />
          <Text>
            {share === null
              ? "No thinner tang gives that wall here."
              : share === 1
                ? "The tang as it is leaves that much."
                : `Height and thickness at ${(share * 100).toFixed(1)} % of what they are give it.`}
          </Text>
        </>
      }
    >
      <WallStrip walls={fit.walls} thinnest={wall} />
      <Fact name="Thinnest">
        {printLength(wall.wallMm, units, 2)} at {printLength(-wall.xMm, units)} behind <Datum />, in{" "}
        {materialOf(wall.material)?.name ?? wall.material}
      </Fact>
      <Note>
        Measured in every direction across the section and along the handle; below zero it breaks through.
      </Note>
    </Section>
  );
}

/** What contouring leaves of the scales where they are thinnest. */
function ScaleLeft({ fit: { thinnestScale: left } }: { fit: FitFigures }) {
  const units = useUnits();
  if (!left) return null;
  return (
    <Fact name="Thinnest scale on the middle line">
      {printLength(left.leftMm, units, 2)} at {printLength(-left.xMm, units)} behind <Datum />
    </Fact>
  );
}

const WIDTH = 600;
const STRIP = 110;

function WallStrip({ walls, thinnest }: { walls: readonly Wall[]; thinnest: Wall }) {
  const materialOf = useMaterialOf();
  const limitOf = useLimits();
  const design = useDesign();
  const units = useUnits();
  const { outline: contour } = layoutOf(design);
  const [low, high] = [contour.xRange[0] - 6, 14];
  const pxPerMm = WIDTH / (high - low);
  const ys = design.handle.outline.map((n) => n.yMm);
  const [yLow, yHigh] = [Math.min(...ys) - 8, Math.max(...ys) + 8];
  const sideHeight = (yHigh - yLow) * pxPerMm;
  const scale = { pxPerMm, originX: -low * pxPerMm, originY: yHigh * pxPerMm };
  const most = Math.max(...walls.map((w) => w.wallMm), 1);
  const least = Math.min(0, ...walls.map((w) => w.wallMm));
  const at = (mm: number) => sideHeight + 14 + ((most - mm) / (most - least)) * (STRIP - 24);
  const line = walls
    .map((w) => `${toPx(scale, w.xMm, 0)[0].toFixed(1)} ${at(w.wallMm).toFixed(1)}`)
    .join("L");
  const limit = (w: Wall) => limitOf(`wall-in-${toughnessOf(materialOf(w.material))}`) ?? 0;
  const limits = walls
    .map((w) => `${toPx(scale, w.xMm, 0)[0].toFixed(1)} ${at(limit(w)).toFixed(1)}`)
    .join("L");
  const [x, y] = toPx(scale, thinnest.xMm, thinnest.yMm);
  const bad = thinnest.wallMm < limit(thinnest);
  return (
    <svg
      width={WIDTH}
      height={sideHeight + STRIP}
      role="img"
      aria-label={`Wall along the handle, thinnest ${printLength(thinnest.wallMm, units, 2)}`}
    >
      <clipPath id="wall-side">
        <rect x="0" y="0" width={WIDTH} height={sideHeight} />
      </clipPath>
      <g clipPath="url(#wall-side)">
        <KnifeSide design={design} scale={scale} />
      </g>
      <line x1="0" x2={WIDTH} y1={at(0)} y2={at(0)} stroke={color("ink")} />
      <DrawnText x={4} y={at(0) - 3} size={11}>
        0
      </DrawnText>
      <path d={`M${limits}`} fill="none" stroke={color("graphite")} strokeDasharray="5 3" />
      <path d={`M${line}`} fill="none" stroke={color(bad ? "fault" : "ink")} strokeWidth="2" />
      <line
        x1={x}
        x2={x}
        y1={y}
        y2={at(thinnest.wallMm)}
        stroke={color(bad ? "fault" : "graphite")}
        strokeDasharray="2 3"
      />
      <circle cx={x} cy={y} r="5" fill="none" stroke={color(bad ? "fault" : "ink")} strokeWidth="2" />
      <DrawnText x={WIDTH - 4} y={at(most) + 4} size={11} anchor="end">
        {printLength(most, units)}
      </DrawnText>
    </svg>
  );
}
