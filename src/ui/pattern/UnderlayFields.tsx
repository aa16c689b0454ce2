"use client";
import { Button, Stack, Text } from "@chakra-ui/react";
import { changeUnderlay, removeUnderlay, type Underlay } from "@/store/underlays";
import { ShareField } from "../fields/ShareField";
import { Tick } from "../fields/Tick";
import { DatumFields } from "./DatumFields";

/** How the photo under the knife is shown on the bench: faded, moved, turned, or not at all. */
export function UnderlayFields({ knifeId, underlay }: { knifeId: string; underlay: Underlay }) {
  const set = (change: Partial<Underlay>) => void changeUnderlay(knifeId, change);
  return (
    <Stack gap="2" role="group" aria-label="Photo under the drawing">
      <Text fontWeight="600">Photo under the drawing</Text>
      <Tick label="Shown on the bench" checked={underlay.shown} onChange={(shown) => set({ shown })} />
      <ShareField
        label="How strong"
        value={underlay.opacity}
        min={0.05}
        max={1}
        onChange={(opacity) => set({ opacity })}
      />
      <DatumFields
        lying={{ xMm: underlay.datumX, yMm: underlay.datumY, tipDeg: underlay.tipDeg }}
        onChange={({ xMm, yMm, tipDeg }) => set({ datumX: xMm, datumY: yMm, tipDeg })}
        help="In the photo, from its lower left corner."
      />
      <Button size="xs" variant="outline" alignSelf="start" onClick={() => void removeUnderlay(knifeId)}>
        Take the photo away
      </Button>
    </Stack>
  );
}
