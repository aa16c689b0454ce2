"use client";
import { newSwedge } from "@/core/design/bladeStarts";
import { SIDES_WORDS } from "@/words/blade";
import { ChoiceAt, LengthAt, TickAt } from "../../../fields/bound";
import { useBench, useDesign } from "../../BenchContext";
import { Group } from "../Group";

/** A false edge along the front of the spine. */
export function SwedgeFields() {
  const { session } = useBench();
  const there = useDesign((d) => d.blade.swedge !== null);
  return (
    <Group title="False edge">
      <TickAt
        at="blade.swedge"
        label="False edge along the spine"
        make={() => newSwedge(session.getState().design.blade)}
      />
      {there && (
        <>
          <LengthAt at="blade.swedge.lengthMm" label="Back from the tip" />
          <LengthAt at="blade.swedge.heightMm" label="Height of the bevel" />
          <LengthAt at="blade.swedge.leavesMm" label="Leaves at the spine" />
          <LengthAt at="blade.swedge.runOutMm" label="Grows over" />
          <ChoiceAt at="blade.swedge.sides" label="On" names={SIDES_WORDS} />
        </>
      )}
    </Group>
  );
}
