"use client";
import { Stack } from "@chakra-ui/react";
import { Plus } from "lucide-react";
import { newIntegralBolster, newNotch, newRamp } from "@/core/design/bladeStarts";
import type { BladeNotch } from "@/core/design/schema";
import { freeId } from "@/core/fit/openSpot";
import { NOTCH_WORDS } from "@/words/blade";
import { LengthAt, ShareAt, TickAt } from "../../../fields/bound";
import { useBench, useDesign } from "../../BenchContext";
import { AddButton } from "../AddButton";
import { Group } from "../Group";
import { ItemCard } from "../ItemCard";

const PURPOSES = Object.keys(NOTCH_WORDS) as BladeNotch["purpose"][];

/** Notches in the edge, the thumb ramp, and a bolster of the blade's own steel. */
export function BladeAdditions() {
  const { edit, session, setSelected } = useBench();
  const { notches, ramp, bolster } = useDesign(({ blade }) => ({
    notches: blade.notches,
    ramp: blade.ramp !== null,
    bolster: blade.bolster !== null,
  }));
  const blade = () => session.getState().design.blade;
  const add = (purpose: BladeNotch["purpose"]) => {
    const notch = newNotch(blade(), freeId("notch", notches), purpose);
    edit(`Add ${NOTCH_WORDS[purpose].toLowerCase()}`, (d) => void d.blade.notches.push(notch));
    setSelected(notch.id);
  };
  return (
    <Group title="Notches, thumb ramp, bolster">
      {notches.map((n, i) => (
        <ItemCard
          key={n.id}
          id={n.id}
          title={NOTCH_WORDS[n.purpose]}
          onRemove={() => edit("Remove notch", (d) => void d.blade.notches.splice(i, 1))}
        >
          <Stack gap="2">
            <LengthAt at={`blade.notches.${i}.xMm`} label="Ahead of the front" />
            <LengthAt at={`blade.notches.${i}.radiusMm`} label="Radius" />
            <LengthAt at={`blade.notches.${i}.depthMm`} label="Reaches over the edge" />
          </Stack>
        </ItemCard>
      ))}
      <Stack direction="row" gap="2" wrap="wrap">
        {PURPOSES.map((purpose) => (
          <AddButton key={purpose} to="blade.notches" onClick={() => add(purpose)}>
            <Plus /> {NOTCH_WORDS[purpose]}
          </AddButton>
        ))}
      </Stack>
      <TickAt at="blade.ramp" label="Thumb ramp" make={() => newRamp(blade())} />
      {ramp && (
        <>
          <LengthAt at="blade.ramp.fromMm" label="Ramp from, ahead of the front" />
          <LengthAt at="blade.ramp.lengthMm" label="Ramp's length" />
          <LengthAt at="blade.ramp.riseMm" label="Ramp rises by" />
        </>
      )}
      <TickAt at="blade.bolster" label="Integral bolster" make={() => newIntegralBolster(blade())} />
      {bolster && (
        <>
          <LengthAt at="blade.bolster.lengthMm" label="Bolster's length" />
          <LengthAt at="blade.bolster.aboveMm" label="Above the axis" />
          <LengthAt at="blade.bolster.belowMm" label="Below the axis" />
          <LengthAt at="blade.bolster.widthMm" label="Width at the handle" />
          <LengthAt at="blade.bolster.frontWidthMm" label="Width at its front" />
          <ShareAt at="blade.bolster.roundness" label="Bolster's roundness" />
        </>
      )}
    </Group>
  );
}
