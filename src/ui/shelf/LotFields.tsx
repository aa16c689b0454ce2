"use client";
import { Box, Button, Flex, Image, Input, SimpleGrid, Stack, Text, Textarea } from "@chakra-ui/react";
import { Camera, Scissors } from "lucide-react";
import { type ReactNode, useState } from "react";
import { isMaterial } from "@/core/shelf/newLot";
import type { Lot } from "@/core/shelf/version";
import { addLot, changeLot, putLotPicture } from "@/store/lots";
import { useShop } from "@/store/shop";
import { usePicture } from "@/store/usePicture";
import { ChoiceField } from "../fields/ChoiceField";
import { DayField } from "../fields/DayField";
import { FieldRow } from "../fields/FieldRow";
import { FileButton } from "../fields/FileButton";
import { LengthField } from "../fields/LengthField";
import { ShareField } from "../fields/ShareField";
import { Tick } from "../fields/Tick";
import { attempt } from "../kit/notice";
import { OutlineFields } from "./OutlineFields";

type Put = (to: Partial<Lot>) => void;

/** All that can be said of a lot; each change is kept at once. */
export function LotFields({ lot }: { lot: Lot }) {
  const put: Put = (to) =>
    void attempt("The lot was not changed", async () => {
      const saved = await changeLot(lot.id, (l) => ({ ...l, ...to }));
      if (!saved.ok) throw new Error("it is gone");
    });
  return (
    <SimpleGrid columns={{ base: 1, md: 2, xl: 3 }} gap="5">
      <SizeFields lot={lot} put={put} />
      <FactFields lot={lot} put={put} />
      <MoreFields lot={lot} put={put} />
    </SimpleGrid>
  );
}

const LONGEST_MM = 10_000;

function TextField(props: {
  label: string;
  value: string;
  most: number;
  needed?: true;
  onKeep: (text: string) => void;
}) {
  const [typed, setTyped] = useState<string | null>(null);
  const wrong = props.needed && typed !== null && typed.trim() === "" ? "It needs a name." : null;
  const keep = () => {
    if (typed !== null && !wrong && typed !== props.value) props.onKeep(typed.trim());
    setTyped(null);
  };
  return (
    <FieldRow label={props.label} wide wrong={wrong}>
      <Input
        size="sm"
        bg="ground"
        maxLength={props.most}
        value={typed ?? props.value}
        onChange={(e) => setTyped(e.target.value)}
        onBlur={keep}
        onKeyDown={(e) => e.key === "Enter" && keep()}
      />
    </FieldRow>
  );
}

const GRAIN = [
  { value: "none", name: "None, or not known" },
  { value: "length", name: "Along its length" },
  { value: "height", name: "Along its height" },
  { value: "thickness", name: "Through its thickness" },
] as const;
const SIDES = [
  { value: "none", name: "Either" },
  { value: "pair", name: "A matched pair" },
  { value: "right", name: "The right one" },
  { value: "left", name: "The left one" },
] as const;
const FACES = [
  { value: "none", name: "Either face out" },
  { value: "first-out", name: "Its marked face out" },
  { value: "first-in", name: "Its marked face down" },
] as const;

function SizeFields({ lot, put }: { lot: Lot; put: Put }) {
  const { shape } = lot;
  const mm = (label: string, value: number, onChange: (mm: number) => void) => (
    <LengthField label={label} mm={value} min={0.05} max={LONGEST_MM} onChange={onChange} />
  );
  return (
    <Stack gap="1.5">
      {isMaterial(lot) && (
        <ChoiceField
          label="Form"
          value={shape.form}
          choices={[
            { value: "piece", name: "Piece" },
            { value: "rod", name: "Rod or tube" },
            { value: "amount", name: "By weight" },
          ]}
          onChange={(form) => put({ shape: formOf(form) })}
        />
      )}
      <ShareField
        label="How many"
        value={lot.count}
        min={0}
        max={10_000}
        unit=""
        whole
        onChange={(count) => put({ count })}
      />
      {shape.form === "piece" && (
        <>
          {mm("Length", shape.lengthMm, (lengthMm) => put({ shape: { ...shape, lengthMm } }))}
          {mm("Height", shape.heightMm, (heightMm) => put({ shape: { ...shape, heightMm } }))}
          {mm("Thickness", shape.thicknessMm, (thicknessMm) => put({ shape: { ...shape, thicknessMm } }))}
          <ChoiceField
            wide
            label="Grain"
            value={shape.grain ?? "none"}
            choices={GRAIN}
            onChange={(g) => put({ shape: { ...shape, grain: g === "none" ? null : g } })}
          />
          <ChoiceField
            wide
            label="Side"
            value={shape.side ?? "none"}
            choices={SIDES}
            onChange={(s) => put({ shape: { ...shape, side: s === "none" ? null : s } })}
          />
          <ChoiceField
            wide
            label="Face"
            value={shape.face ?? "none"}
            choices={FACES}
            onChange={(f) => put({ shape: { ...shape, face: f === "none" ? null : f } })}
          />
          <OutlineFields shape={shape} onChange={(to) => put({ shape: { ...shape, ...to } })} />
        </>
      )}
      {shape.form === "rod" && (
        <>
          {mm("Diameter", shape.diameterMm, (diameterMm) => put({ shape: { ...shape, diameterMm } }))}
          {mm("Length", shape.lengthMm, (lengthMm) => put({ shape: { ...shape, lengthMm } }))}
        </>
      )}
      {shape.form === "amount" && (
        <ShareField
          label={isMaterial(lot) ? "Grams of each" : "Amount of each"}
          value={shape.amount}
          min={0}
          max={1_000_000}
          unit={isMaterial(lot) ? "g" : ""}
          onChange={(amount) => put({ shape: { ...shape, amount } })}
        />
      )}
      {shape.form === "each" && (
        <TextField
          label="Key that goes to the owner"
          value={shape.key}
          most={60}
          onKeep={(key) => put({ shape: { ...shape, key } })}
        />
      )}
    </Stack>
  );
}

function formOf(form: string): Lot["shape"] {
  if (form === "rod") return { form: "rod", diameterMm: 4, lengthMm: 300 };
  if (form === "amount") return { form: "amount", amount: 100 };
  return {
    form: "piece",
    lengthMm: 130,
    heightMm: 40,
    thicknessMm: 10,
    grain: null,
    side: null,
    face: null,
    outline: null,
    holes: [],
  };
}

const USUAL_OFF = { massOffG: 0.1, sizeOffMm: 0.1 };

function FactFields({ lot, put }: { lot: Lot; put: Put }) {
  const { weighed, shape } = lot;
  const { currency } = useShop();
  const box = shape.form === "rod" || (shape.form === "piece" && shape.outline === null);
  return (
    <Stack gap="1.5">
      <TextField needed label="Name" value={lot.name} most={60} onKeep={(name) => put({ name })} />
      {box && (
        <>
          <ShareField
            label="One of them weighs"
            value={weighed?.massG ?? null}
            min={0.01}
            max={100_000}
            unit="g"
            onChange={(massG) => put({ weighed: { ...USUAL_OFF, ...weighed, massG } })}
            onClear={() => put({ weighed: null })}
            help="Its density follows, and with it a narrower interval."
          />
          {weighed && (
            <>
              <ShareField
                label="Scale may be off"
                value={weighed.massOffG}
                min={0}
                max={1000}
                unit="g"
                onChange={(massOffG) => put({ weighed: { ...weighed, massOffG } })}
              />
              <LengthField
                label="Sizes may be off"
                mm={weighed.sizeOffMm}
                min={0}
                max={20}
                onChange={(sizeOffMm) => put({ weighed: { ...weighed, sizeOffMm } })}
              />
            </>
          )}
        </>
      )}
      {isMaterial(lot) && (
        <Tick
          label="What it is is a guess: try a piece first"
          checked={lot.guessed}
          onChange={(guessed) => put({ guessed })}
        />
      )}
      <ShareField
        label={`Price of one${currency ? `, ${currency}` : ""}`}
        value={lot.price}
        min={0}
        max={1_000_000}
        unit=""
        onChange={(price) => put({ price })}
        onClear={() => put({ price: null })}
      />
      <TextField label="Where it lies" value={lot.place} most={80} onKeep={(place) => put({ place })} />
      <Day label="Bought" value={lot.boughtOn} onChange={(boughtOn) => put({ boughtOn })} />
      <Day label="Opened" value={lot.openedOn} onChange={(openedOn) => put({ openedOn })} />
      <Day label="Best before" value={lot.bestBefore} onChange={(bestBefore) => put({ bestBefore })} />
    </Stack>
  );
}

const Day = (props: { label: string; value: string | null; onChange: (day: string | null) => void }) => (
  <FieldRow label={props.label}>
    <DayField value={props.value} onChange={props.onChange} />
  </FieldRow>
);

function MoreFields({ lot, put }: { lot: Lot; put: Put }) {
  const [note, setNote] = useState<string | null>(null);
  return (
    <Stack gap="2">
      <FieldRow label="Note" wide>
        <Textarea
          size="sm"
          bg="ground"
          rows={2}
          maxLength={1000}
          value={note ?? lot.note}
          onChange={(e) => setNote(e.target.value)}
          onBlur={() => {
            if (note !== null && note !== lot.note) put({ note });
            setNote(null);
          }}
        />
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

function BatchFields({ lot, put }: { lot: Lot; put: Put }) {
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
          <TextField label="Recipe" value={batch.recipe} most={1000} onKeep={(recipe) => set({ recipe })} />
          <TextField
            label="Mould or press"
            value={batch.mould}
            most={200}
            onKeep={(mould) => set({ mould })}
          />
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
function Offcut({ lot, put }: { lot: Lot; put: Put }) {
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
