"use client";
import { Box, Button, Flex, Image, Stack, Text } from "@chakra-ui/react";
import { Camera, Scissors } from "lucide-react";
import { type ReactNode, useState } from "react";
import { isMaterial } from "@/core/shelf/newLot";
import type { Lot } from "@/core/shelf/version";
import { addLot, putLotPicture } from "@/store/lots";
import { usePicture } from "@/store/usePicture";
import { ChoiceField } from "../fields/ChoiceField";
import { FieldRow } from "../fields/FieldRow";
import { FileButton } from "../fields/FileButton";
import { KeptNote } from "../fields/KeptNote";
import { LengthField } from "../fields/LengthField";
import { ShareField } from "../fields/ShareField";
import { attempt } from "../kit/notice";
import { LotText } from "./LotText";
import type { PutLot } from "./putLot";

const LONGEST_MM = 10_000;

/** Note, photo, how it was made, and what is cut off it. */
export function LotMore({ lot, put }: { lot: Lot; put: PutLot }) {
  return (
    <Stack gap="2">
      <FieldRow label="Note" wide>
        <KeptNote maxLength={1000} text={lot.note} onKeep={(note) => put({ note })} />
      </FieldRow>
      <Picture lot={lot} />
      <BatchFields lot={lot} put={put} />
      <Offcut lot={lot} put={put} />
    </Stack>
  );
}

function Picture({ lot }: { lot: Lot }) {
  const url = usePicture(lot.picture);
  return (
    <Box>
      {url && <Image src={url} alt={`Photo of ${lot.name}`} maxH="160px" borderRadius="sm" mb="1" />}
      <FileButton
        size="xs"
        accept="image/jpeg,image/png,image/webp"
        testId={`photo-${lot.id}`}
        failure="The photo was not taken in"
        onFiles={([file]) => putLotPicture(lot.id, file)}
      >
        <Camera /> {lot.picture ? "Another photo" : "Photo"}
      </FileButton>
    </Box>
  );
}

const BATCHES = [
  { value: "none", name: "Bought" },
  { value: "casting", name: "Cast in the shop" },
  { value: "laminate", name: "Laid up and pressed" },
  { value: "stack", name: "Stacked washers" },
] as const;

function BatchFields({ lot, put }: { lot: Lot; put: PutLot }) {
  const { batch } = lot;
  if (!isMaterial(lot)) return null;
  const set = (to: Partial<NonNullable<Lot["batch"]>>) => batch && put({ batch: { ...batch, ...to } });
  const number = (
    label: string,
    value: number | null,
    most: number,
    unit: string,
    key: "pressedBar" | "cureH",
  ): ReactNode => (
    <ShareField
      label={label}
      value={value}
      min={0}
      max={most}
      unit={unit}
      onChange={(n) => set({ [key]: n })}
      onClear={() => set({ [key]: null })}
    />
  );
  return (
    <Stack gap="1.5">
      <ChoiceField
        wide
        label="Made"
        value={batch?.kind ?? "none"}
        choices={BATCHES}
        onChange={(kind) =>
          put({
            batch:
              kind === "none"
                ? null
                : { recipe: "", mould: "", pressedBar: null, cureH: null, yieldShare: 1, ...batch, kind },
          })
        }
      />
      {batch && (
        <>
          <LotText label="Recipe" value={batch.recipe} most={1000} onKeep={(recipe) => set({ recipe })} />
          <LotText label="Mould or press" value={batch.mould} most={200} onKeep={(mould) => set({ mould })} />
          {number("Pressed at", batch.pressedBar, 1000, "bar", "pressedBar")}
          {number("Cured", batch.cureH, 2000, "h", "cureH")}
          <ShareField
            label="Share that serves"
            value={batch.yieldShare}
            min={0.01}
            max={1}
            onChange={(yieldShare) => set({ yieldShare })}
          />
        </>
      )}
    </Stack>
  );
}

/** A piece cut off comes back as a lot of its own; the lot is that much shorter. */
function Offcut({ lot, put }: { lot: Lot; put: PutLot }) {
  const [mm, setMm] = useState(50);
  const { shape } = lot;
  if (shape.form === "amount" || shape.form === "each" || (shape.form === "piece" && shape.outline))
    return null;
  const room = shape.lengthMm - mm;
  const cut = () =>
    void attempt("Nothing was cut off", async () => {
      const { id, picture: _, ...rest } = lot;
      const of = { ...rest, count: 1, weighed: null, offcutOf: id, name: `${lot.name}, offcut`.slice(0, 60) };
      await addLot(lot.of, of.name, { ...of, shape: { ...shape, lengthMm: room } });
      put({ count: lot.count - 1 });
    });
  return (
    <Stack gap="1">
      <LengthField label="Use off one of them" mm={mm} min={0.5} max={LONGEST_MM} onChange={setMm} />
      <Flex align="center" gap="2" wrap="wrap">
        <Button size="xs" variant="outline" disabled={lot.count < 1 || !(room >= 1)} onClick={cut}>
          <Scissors /> Cut it off, the rest is an offcut
        </Button>
        {!(room >= 1) && <Text fontSize="sm">Nothing would be left of it.</Text>}
      </Flex>
    </Stack>
  );
}
