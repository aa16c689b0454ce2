"use client";
import { NativeSelect } from "@chakra-ui/react";
import { memo } from "react";
import { useSteady } from "../kit/useSteady";
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
export function ChoiceField<T extends string>(props: ChoiceFieldProps<T>) {
  const onChange = useSteady(props.onChange as (value: string) => void);
  return <Chooser {...props} onChange={onChange} />;
}

const Chooser = memo(
  function Chooser({
    label,
    value,
    choices,
    onChange,
    help,
    wide = choices.some((c) => c.name.length > BESIDE),
  }: ChoiceFieldProps<string>) {
    return (
      <FieldRow label={label} help={help} wide={wide}>
        <NativeSelect.Root size="sm">
          <NativeSelect.Field bg="ground" value={value} onChange={(e) => onChange(e.target.value)}>
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
  },
  (a, b) =>
    a.label === b.label &&
    a.value === b.value &&
    a.help === b.help &&
    a.wide === b.wide &&
    sameChoices(a.choices, b.choices),
);

/** Choices are made anew with each drawing of what offers them. */
function sameChoices(a: ChoiceFieldProps<string>["choices"], b: typeof a): boolean {
  return a.length === b.length && a.every((c, i) => c.value === b[i].value && c.name === b[i].name);
}
