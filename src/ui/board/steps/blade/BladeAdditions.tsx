"use client";
import { Stack } from "@chakra-ui/react";
import { Plus } from "lucide-react";
import { freeId } from "@/core/figures/fit/openSpot";
import { newIntegralBolster, newNotch, newRamp } from "@/core/knife/design/bladeStarts";
import type { BladeNotch } from "@/core/knife/design/schema";
import { NOTCH_WORDS } from "@/words/blade";
import { AddButton } from "../../../bound/AddButton";
import { LengthAt, ShareAt, TickAt } from "../../../bound/bound";
import { ItemCard } from "../../../bound/ItemCard";
import { useBench, useDesign } from "../../../session/BenchContext";
import { Group } from "../Group";

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
    edit({ code: "add", list: "blade.notches", item: notch, kind: purpose });
    setSelected(notch.id);
  };
  return (
    <Group title="Notches, thumb ramp, bolster">
      {notches.map((n, i) => (
        <ItemCard
          key={n.id}
          id={n.id}
          title={NOTCH_WORDS[n.purpose]}
          onRemove={() => edit({ code: "remove", list: "blade.notches", at: i })}
        >
          <Stack gap="2">
            <LengthAt at={`blade.notches.${i}.xMm`} />
            <LengthAt at={`blade.notches.${i}.radiusMm`} />
            <LengthAt at={`blade.notches.${i}.depthMm`} />
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
      <TickAt at="blade.ramp" make={() => newRamp(blade())} />
      {ramp && (
        <>
          <LengthAt at="blade.ramp.fromMm" />
          <LengthAt at="blade.ramp.lengthMm" />
          <LengthAt at="blade.ramp.riseMm" />
        </>
      )}
      <TickAt at="blade.bolster" make={() => newIntegralBolster(blade())} />
      {bolster && (
        <>
          <LengthAt at="blade.bolster.lengthMm" />
          <LengthAt at="blade.bolster.aboveMm" />
          <LengthAt at="blade.bolster.belowMm" />
          <LengthAt at="blade.bolster.widthMm" />
          <LengthAt at="blade.bolster.frontWidthMm" />
          <ShareAt at="blade.bolster.roundness" />
        </>
      )}
    </Group>
  );
}
