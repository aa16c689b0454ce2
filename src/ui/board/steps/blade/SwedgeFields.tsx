"use client";
import { newSwedge } from "@/core/knife/design/bladeStarts";
import { SIDES_WORDS } from "@/words/blade";
import { ChoiceAt, LengthAt, TickAt } from "../../../bound/bound";
import { useBench, useDesign } from "../../../session/BenchContext";
import { Group } from "../Group";

/** A false edge along the front of the spine. */
export function SwedgeFields() {
  const { session } = useBench();
  const there = useDesign((d) => d.blade.swedge !== null);
  return (
    <Group title="False edge">
      <TickAt at="blade.swedge" make={() => newSwedge(session.getState().design.blade)} />
      {there && (
        <>
          <LengthAt at="blade.swedge.lengthMm" />
          <LengthAt at="blade.swedge.heightMm" />
          <LengthAt at="blade.swedge.leavesMm" />
          <LengthAt at="blade.swedge.runOutMm" />
          <ChoiceAt at="blade.swedge.sides" names={SIDES_WORDS} />
        </>
      )}
    </Group>
  );
}
