"use client";
import { NativeSelect } from "@chakra-ui/react";
import { FieldRow } from "./FieldRow";

interface ChoiceFieldProps<T extends string> {
  readonly label: string;
  readonly value: T;
  readonly choices: readonly { readonly value: T; readonly name: string }[];
  readonly onChange: (value: T) => void;
  readonly help?: string;
  /** On a line of its own: as a rule where a choice is too long to stand beside its label. */
  readonly wide?: boolean;
}

/** Letters of a choice that fit beside a label. */
const BESIDE = 15;

/** One of a few. */
export function ChoiceField<T extends string>({
  label,
  value,
  choices,
  onChange,
  help,
  wide = choices.some((c) => c.name.length > BESIDE),
}: ChoiceFieldProps<T>) {
  return (
    <FieldRow label={label} help={help} wide={wide}>
      <NativeSelect.Root size="sm">
        <NativeSelect.Field bg="ground" value={value} onChange={(e) => onChange(e.target.value as T)}>
          {choices.map((c) => (
            <option key={c.value} value={c.value}>
              {c.name}
            </option>
          ))}
        </NativeSelect.Field>
        <NativeSelect.Indicator />
      </NativeSelect.Root>
    </FieldRow>
  );
}
