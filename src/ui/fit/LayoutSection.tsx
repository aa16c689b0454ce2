"use client";
import { Button, Flex } from "@chakra-ui/react";
import { useState } from "react";
import type { FitSheet } from "@/core/fit/sheet";
import { alignedToMiddle, evenlySpread, mirrored } from "@/core/fit/spread";
import { layoutOf } from "@/core/layout/layout";
import { printLength } from "@/core/units/print";
import { useUnits } from "@/store/settings";
import { itemWords } from "@/words/fasteners";
import { useBench, useDesign } from "../bench/BenchContext";
import { knifeExtent } from "../drawing/extent";
import { Hatches } from "../drawing/Hatches";
import { KnifeSide } from "../drawing/KnifeSide";
import { toPx } from "../drawing/path";
import { DrawnText } from "../drawing/Text";
import { ShareAt } from "../fields/bound";
import { ChoiceField } from "../fields/ChoiceField";
import { color } from "../theme";
import { Fact, Figures, Note, Section } from "./Section";

/** Where each pin stands, from the datum and from the edges, and what is left round it. */
export function LayoutSection({ sheet }: { sheet: FitSheet }) {
  const units = useUnits();
  const [edge, setEdge] = useState<"lower" | "upper">("lower");
  const length = (mm: number) => printLength(mm, units, 2);
  return (
    <Section
      id="layout"
      title="Pin layout"
      settings={
        <>
          <SpreadTools />
          <ChoiceField
            label="Heights from"
            value={edge}
            choices={[
              { value: "lower", name: "Lower edge" },
              { value: "upper", name: "Upper edge" },
            ]}
            onChange={setEdge}
          />
          <ShareAt
            at="fitUp.pinProudShare"
            label="Left proud, each side"
            unit="× d"
            help="To be peened or ground flush: half to one diameter is usual."
          />
        </>
      }
    >
      <NumberedSide sheet={sheet} />
      <Figures
        label="Pin layout"
        rows={sheet.pins}
        keyOf={(p) => p.id}
        none="No pins or bolts."
        columns={[
          { name: "What", of: (p) => itemWords(p.name) },
          { name: "Behind the datum", number: true, of: (p) => length(p.behindMm) },
          { name: "Above the axis", number: true, of: (p) => length(p.aboveAxisMm) },
          {
            name: edge === "lower" ? "From the lower edge" : "From the upper edge",
            number: true,
            of: (p) => length(edge === "lower" ? p.fromLowerEdgeMm : p.fromUpperEdgeMm),
          },
          { name: "To the edge", number: true, of: (p) => length(p.toEdgeMm) },
          { name: "Web", number: true, of: (p) => (p.webMm === null ? "–" : length(p.webMm)) },
          { name: "Blank", number: true, of: (p) => length(p.blankMm) },
        ]}
      />
      {sheet.jigPitches.length > 0 && (
        <>
          <Fact name="Drilling jig, from hole to hole">
            {sheet.jigPitches.map((p) => length(p.apartMm)).join(" · ")}
          </Fact>
          <Fact name="The same along the axis">
            {sheet.jigPitches.map((p) => length(p.alongMm)).join(" · ")}
          </Fact>
        </>
      )}
      {sheet.taperShim && (
        <Fact name="Tapered tang">
          each face leans {sheet.taperShim.angleDeg.toFixed(2)}°; a shim of {length(sheet.taperShim.shimMm)}{" "}
          under the butt keeps the holes square to the centre plane
        </Fact>
      )}
      <Note>
        Edges are the finished outline's. Drill the second scale through the first; set a pin in each finished
        hole before the next.
      </Note>
    </Section>
  );
}

function SpreadTools() {
  const { edit } = useBench();
  const design = useDesign();
  const put = (label: string, moves: ReturnType<typeof evenlySpread>) =>
    edit(label, (d) => {
      for (const m of moves) {
        const mine = d.fasteners.find((f) => f.id === m.id);
        if (mine) Object.assign(mine, { xMm: m.xMm, yMm: m.yMm });
      }
    });
  const few = design.fasteners.length < 2;
  return (
    <Flex gap="2" wrap="wrap">
      <Button
        size="xs"
        variant="outline"
        disabled={design.fasteners.length < 3}
        onClick={() => put("Spread pins evenly", evenlySpread(design))}
      >
        Spread evenly
      </Button>
      <Button size="xs" variant="outline" disabled={few} onClick={() => put("Mirror pins", mirrored(design))}>
        Mirror fore and aft
      </Button>
      <Button
        size="xs"
        variant="outline"
        disabled={design.fasteners.length < 1}
        onClick={() => put("Align pins to the middle", alignedToMiddle(design))}
      >
        Align to the middle line
      </Button>
    </Flex>
  );
}

const WIDTH = 640;

/** The handle from its right side, its pins numbered as in the table. */
function NumberedSide({ sheet }: { sheet: FitSheet }) {
  const design = useDesign();
  const e = knifeExtent(design);
  const right = Math.min(e.xHigh, 30);
  const pxPerMm = Math.min(5, WIDTH / (right - e.xLow + 8));
  const height = (e.yHigh - e.yLow + 8) * pxPerMm;
  const scale = { pxPerMm, originX: (4 - e.xLow) * pxPerMm, originY: (e.yHigh + 4) * pxPerMm };
  const { buttX: butt } = layoutOf(design);
  return (
    <svg
      width={(right - e.xLow + 8) * pxPerMm}
      height={height}
      role="img"
      aria-label={`Handle from ${printLength(-butt, "metric")} behind the datum, its ${sheet.pins.length} fasteners numbered`}
    >
      <Hatches />
      <KnifeSide design={design} scale={scale} />
      {sheet.pins.map((p, i) => {
        const [x, y] = toPx(scale, -p.behindMm, p.aboveAxisMm);
        return (
          <g key={p.id}>
            <path d={`M${x - 9} ${y}h18M${x} ${y - 9}v18`} stroke={color("ink")} strokeWidth="0.8" />
            <circle cx={x + 13} cy={y - 13} r="9" fill={color("sheet")} stroke={color("ink")} />
            <DrawnText x={x + 13} y={y - 8.5} size={12} bold anchor="middle">
              {String(i + 1)}
            </DrawnText>
          </g>
        );
      })}
    </svg>
  );
}
