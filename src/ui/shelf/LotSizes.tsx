"use client";
import { Stack } from "@chakra-ui/react";
import { isMaterial } from "@/core/shelf/newLot";
import type { Lot } from "@/core/shelf/version";
import { ChoiceField } from "../fields/ChoiceField";
import { LengthField } from "../fields/LengthField";
import { ShareField } from "../fields/ShareField";
import { LotText } from "./LotText";
import { OutlineFields } from "./OutlineFields";
import type { PutLot } from "./putLot";

const LONGEST_MM = 10_000;

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

/** In which form it is there, how many and how large. */
export function LotSizes({ lot, put }: { lot: Lot; put: PutLot }) {
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
        <LotText
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
