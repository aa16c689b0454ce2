"use client";
import { Button, Stack, Text } from "@chakra-ui/react";
import { putBack } from "@/store/bin";
import type { Underlay } from "@/store/tables/photos";
import { changeUnderlay, removeUnderlay } from "@/store/underlays";
import { ShareField } from "../fields/ShareField";
import { Tick } from "../fields/Tick";
import { attempt, notices } from "../kit/notice";
import { DatumFields } from "./DatumFields";

/** How the photo under the knife is shown on the bench: faded, moved, turned, or not at all. */
export function UnderlayFields({ knifeId, underlay }: { knifeId: string; underlay: Underlay }) {
  const set = (change: Partial<Underlay>) =>
    void attempt("The photo was not changed", async () => {
      if (!(await changeUnderlay(knifeId, change, underlay)))
        notices.info({
          title: "The photo is not there any more",
          description: "It was taken away in another tab: the bin has it.",
        });
    });
  const remove = () =>
    attempt("The photo is still there", async () => {
      const removed = await removeUnderlay(knifeId);
      if (!removed.ok) return notices.error({ title: "The photo is still there" });
      notices.create({
        title: "The photo was taken away",
        description: "It lies in the bin for 30 days.",
        action: {
          label: "Put it back",
          onClick: () => void attempt("It could not be put back", () => putBack(removed.binId ?? "")),
        },
      });
    });
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
      <Button size="xs" variant="outline" alignSelf="start" onClick={() => void remove()}>
        Take the photo away
      </Button>
    </Stack>
  );
}
