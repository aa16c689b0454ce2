"use client";
import { Button, Stack, Text } from "@chakra-ui/react";
import { changeUnderlay, removeUnderlay, type Underlay } from "@/store/underlays";
import { LengthField } from "../fields/LengthField";
import { ShareField } from "../fields/ShareField";
import { Tick } from "../fields/Tick";

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
      <LengthField
        label="Datum, to the right"
        mm={underlay.datumX}
        min={-20000}
        max={20000}
        onChange={(datumX) => set({ datumX })}
        help="In the photo, from its lower left corner."
      />
      <LengthField
        label="Datum, up"
        mm={underlay.datumY}
        min={-20000}
        max={20000}
        onChange={(datumY) => set({ datumY })}
      />
      <ShareField
        label="Tip toward"
        value={underlay.tipDeg}
        min={-720}
        max={720}
        factor={1}
        digits={2}
        unit="°"
        onChange={(tipDeg) => set({ tipDeg })}
      />
      <Button size="xs" variant="outline" alignSelf="start" onClick={() => void removeUnderlay(knifeId)}>
        Take the photo away
      </Button>
    </Stack>
  );
}
