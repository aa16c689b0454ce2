"use client";
import { Button, Flex } from "@chakra-ui/react";
import { useState } from "react";
import { printLength } from "@/core/base/units/print";
import type { PinLay } from "@/core/edit/fixed/guardEdits";
import type { FitFigures } from "@/core/figures/fit/fitFigures";
import { useUnits } from "@/store/settings";
import { DATUM_HELP } from "@/words/balance";
import { itemWords } from "@/words/fasteners";
import { ShareAt } from "../bound/bound";
import { ChoiceField } from "../fields/ChoiceField";
import { Fact, Figures, Note, Section } from "../report/Section";
import { useBench, useDesign } from "../session/BenchContext";

/** Where each pin stands, from the front and from the edges, and what is left round it. */
export function LayoutSection({ fit }: { fit: FitFigures }) {
  const units = useUnits();
  const [edge, setEdge] = useState<"lower" | "upper">("lower");
  const length = (mm: number) => printLength(mm, units, 2);
  return (
    <Section
      id="layout"
      title="Pin layout"
      settings={
        <>
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
            unit="× d"
            help="To be peened or ground flush: half to one diameter is usual."
          />
        </>
      }
    >
      <SpreadTools />
      <Figures
        label="Pin layout"
        rows={fit.pins}
        keyOf={(p) => p.id}
        none="No pins or bolts."
        partRefsOf={(p) => [`fastener:${p.id}`]}
        columns={[
          { name: "Fastener", of: (p) => itemWords(p.name) },
          { name: "Behind the front", help: DATUM_HELP, number: true, of: (p) => length(p.behindMm) },
          { name: "Above the axis", number: true, of: (p) => length(p.aboveAxisMm) },
          {
            name: edge === "lower" ? "From the lower edge" : "From the upper edge",
            number: true,
            of: (p) => length(edge === "lower" ? p.fromLowerEdgeMm : p.fromUpperEdgeMm),
          },
          { name: "Edge distance", number: true, of: (p) => length(p.toEdgeMm) },
          { name: "Web", number: true, of: (p) => (p.webMm === null ? "–" : length(p.webMm)) },
          { name: "Blank", number: true, of: (p) => length(p.blankMm) },
        ]}
      />
      {fit.jigPitches.length > 0 && (
        <>
          <Fact name="Drilling jig, from hole to hole">
            {fit.jigPitches.map((p) => length(p.apartMm)).join(" · ")}
          </Fact>
          <Fact name="Along the axis">{fit.jigPitches.map((p) => length(p.alongMm)).join(" · ")}</Fact>
        </>
      )}
      {fit.taperShim && (
        <Fact name="Tapered tang">
          each face leans {fit.taperShim.angleDeg.toFixed(2)}°; a shim of {length(fit.taperShim.shimMm)} under
          the butt keeps the holes square to the centre plane
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
  const put = (lay: PinLay) => edit({ code: "lay-pins", lay });
  const few = design.fasteners.length < 2;
  return (
    <Flex gap="2" wrap="wrap">
      <Button
        size="xs"
        variant="outline"
        disabled={design.fasteners.length < 3}
        onClick={() => put("evenly")}
      >
        Spread evenly
      </Button>
      <Button size="xs" variant="outline" disabled={few} onClick={() => put("mirrored")}>
        Mirror fore and aft
      </Button>
      <Button
        size="xs"
        variant="outline"
        disabled={design.fasteners.length < 1}
        onClick={() => put("on-the-middle")}
      >
        Align to the middle line
      </Button>
    </Flex>
  );
}
