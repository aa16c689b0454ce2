"use client";
import { Flex, IconButton, Text } from "@chakra-ui/react";
import { Plus, Trash2 } from "lucide-react";
import { printLength } from "@/core/base/units/print";
import { freeId } from "@/core/figures/fit/openSpot";
import type { PlanNode } from "@/core/knife/design/schema";
import { waistDepth } from "@/core/knife/shapes/handleBody";
import { useUnits } from "@/store/settings";
import { FACET_WORDS } from "@/words/constructions";
import { AddButton } from "../../bound/AddButton";
import { LengthAt, ShareAt, TickAt, useShownLimits } from "../../bound/bound";
import { ChoiceField } from "../../fields/ChoiceField";
import { ShareField } from "../../fields/ShareField";
import { Tick } from "../../fields/Tick";
import { useBench, useDesign, useSelected } from "../../session/BenchContext";
import { Group } from "./Group";

/** The station ahead of the longest stretch without one. */
function longestGap(plan: readonly PlanNode[]): number {
  const gaps = plan.slice(1).map((p, i) => plan[i].xMm - p.xMm);
  return gaps.indexOf(Math.max(...gaps));
}

/** The handle's cross-section along its length: round or faceted, alike on both sides or not, waisted or not. */
export function SectionFields() {
  const { edit } = useBench();
  const facets = useDesign((d) => d.handle.facets);
  return (
    <Group title="Section">
      <ChoiceField
        label="Shape"
        value={String(facets ?? "none")}
        choices={Object.entries(FACET_WORDS).map(([value, name]) => ({ value, name }))}
        onChange={(to) => edit({ code: "set", path: "handle.facets", to: to === "none" ? null : Number(to) })}
      />
      {facets === null && <RoundnessFields />}
      <ThicknessTools />
      <SidesDiffer />
      <WaistFields />
    </Group>
  );
}

/** Which station of the thickness is picked out; −1 for none. */
function usePickedStation(): number {
  const selected = useSelected();
  return useDesign(({ handle }) =>
    handle.plan.findIndex((p) => p.id === selected || `${p.id}-left` === selected),
  );
}

function RoundnessFields() {
  const { edit } = useBench();
  const plan = useDesign((d) => d.handle.plan);
  const at = usePickedStation();
  const limits = useShownLimits("handle.plan.0.roundness");
  const even = plan.every((p) => p.roundness === plan[0].roundness);
  return (
    <>
      <ShareField
        label={even ? "Roundness" : "Roundness, all along"}
        value={plan[0].roundness}
        {...limits}
        help="0 is flat-sided, 100 an ellipse down to the tang."
        onChange={(to) => edit({ code: "roundness", to })}
      />
      {at >= 0 && <ShareAt at={`handle.plan.${at}.roundness`} />}
    </>
  );
}

/** Adds a station of its own thickness, and removes the one that is picked. */
function ThicknessTools() {
  const { edit, setSelected } = useBench();
  const plan = useDesign((d) => d.handle.plan);
  const at = usePickedStation();
  return (
    <>
      <Text color="graphite" fontSize="sm">
        Thickness: drag the points of the view from above. Pick one to give its station a roundness of its
        own.
      </Text>
      <Flex gap="2">
        <AddButton
          to="handle.plan"
          onClick={() => {
            const id = freeId("plan", plan);
            edit({ code: "thickness-add", after: at >= 0 ? at : longestGap(plan), id });
            setSelected(id);
          }}
        >
          <Plus /> Thickness at a station
        </AddButton>
        {at > 0 && at < plan.length - 1 && (
          <IconButton
            size="xs"
            variant="outline"
            aria-label="Remove the thickness picked"
            onClick={() => edit({ code: "thickness-remove", id: plan[at].id })}
          >
            <Trash2 />
          </IconButton>
        )}
      </Flex>
    </>
  );
}

function SidesDiffer() {
  const { edit } = useBench();
  const differs = useDesign(({ handle }) => handle.plan.some((p) => p.leftHalfMm !== null));
  return (
    <>
      <Tick
        label="Left side differs from the right"
        checked={differs}
        onChange={(differ) => edit({ code: "sides-differ", differ })}
      />
      {differs && (
        <Text color="graphite" fontSize="sm">
          Natural slabs: drag the left side's points too. The sideways offset of the centre of mass is in the
          readout.
        </Text>
      )}
    </>
  );
}

function WaistFields() {
  const units = useUnits();
  const { plan, waist } = useDesign(({ handle }) => ({ plan: handle.plan, waist: handle.waist }));
  return (
    <>
      <TickAt
        at="handle.waist"
        make={() => ({
          xMm: Math.round(Math.min(...plan.map((p) => p.xMm)) * 0.62),
          chordMm: 40,
          wheelRadiusMm: 101.6,
        })}
      />
      {waist && (
        <>
          <LengthAt at="handle.waist.xMm" behind />
          <LengthAt at="handle.waist.chordMm" />
          <LengthAt at="handle.waist.wheelRadiusMm" />
          <Text color="graphite" fontSize="sm">
            {printLength(waistDepth(waist), units)} deep on each side.
          </Text>
        </>
      )}
    </>
  );
}
