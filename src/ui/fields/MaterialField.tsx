"use client";
import { Field, NativeSelect } from "@chakra-ui/react";
import { memo } from "react";
import { MATERIALS } from "@/core/stock/materials";
import type { MaterialClass } from "@/core/stock/types";
import { HAZARD_WORDS, MATERIAL_CLASS_WORDS } from "@/words/materials";
import { useSteady } from "../useSteady";
import { LockableLabel } from "./LockToggle";

interface MaterialFieldProps {
  readonly label: string;
  readonly value: string;
  /** Classes offered, in this order. */
  readonly classes: readonly MaterialClass[];
  readonly onChange: (id: string) => void;
  /** The choice of nothing, by its words; its value is the empty string. */
  readonly none?: string;
  /** Without the cautions beneath: in lists that say them elsewhere. */
  readonly quiet?: boolean;
}

/** A material from the stock, grouped by class, with its cautions beneath. */
export function MaterialField(props: MaterialFieldProps) {
  return <Chooser {...props} onChange={useSteady(props.onChange)} />;
}

const Chooser = memo(function Chooser(props: MaterialFieldProps) {
  const { label, value, classes, onChange, none, quiet } = props;
  const chosen = MATERIALS.find((m) => m.id === value);
  const unknown = value !== "" && !chosen;
  return (
    <Field.Root invalid={unknown}>
      <LockableLabel label={label} />
      <NativeSelect.Root size="sm">
        <NativeSelect.Field bg="ground" value={value} onChange={(e) => onChange(e.target.value)}>
          {none !== undefined && <option value="">{none}</option>}
          {unknown && <option value={value}>{value} (not in stock)</option>}
          <Choices classes={classes} />
        </NativeSelect.Field>
        <NativeSelect.Indicator />
      </NativeSelect.Root>
      {!quiet && chosen && chosen.hazards.length > 0 && (
        <Field.HelperText mt="0">{chosen.hazards.map((h) => HAZARD_WORDS[h]).join("; ")}</Field.HelperText>
      )}
    </Field.Root>
  );
});

/** The list itself: long, and the same however often the field is drawn. */
const Choices = memo(function Choices({ classes }: { classes: readonly MaterialClass[] }) {
  return classes.map((cls) => (
    <optgroup key={cls} label={MATERIAL_CLASS_WORDS[cls]}>
      {MATERIALS.filter((m) => m.class === cls).map((m) => (
        <option key={m.id} value={m.id}>
          {m.name} · {m.densityGcc.typical.toFixed(2)}
        </option>
      ))}
    </optgroup>
  ));
});

/** What each place on a knife is usually made of. */
export const FOR_BLADES = ["steel"] as const satisfies readonly MaterialClass[];
export const FOR_SCALES = [
  "wood",
  "stabilised-wood",
  "laminate",
  "horn-bone",
  "plastic",
  "metal",
  "leather",
] as const satisfies readonly MaterialClass[];
export const FOR_PIECES = [
  "wood",
  "stabilised-wood",
  "laminate",
  "horn-bone",
  "leather",
  "plastic",
  "metal",
] as const satisfies readonly MaterialClass[];
export const FOR_GUARDS = [
  "metal",
  "steel",
  "laminate",
  "wood",
  "horn-bone",
] as const satisfies readonly MaterialClass[];
export const FOR_LINERS = [
  "laminate",
  "metal",
  "plastic",
  "leather",
] as const satisfies readonly MaterialClass[];
export const FOR_PINS = [
  "metal",
  "steel",
  "laminate",
  "plastic",
  "wood",
] as const satisfies readonly MaterialClass[];
export const FOR_FILLS = ["adhesive", "plastic"] as const satisfies readonly MaterialClass[];
