"use client";
import { Field, Input, InputGroup } from "@chakra-ui/react";
import { type KeyboardEvent, memo } from "react";
import { useSteady } from "../kit/useSteady";
import { FieldRow } from "./FieldRow";

/** A unit of more letters needs more room. */
const LONG_UNIT = 3;

interface TypedRowProps {
  readonly label: string;
  readonly unit: string;
  /** What stands in it: typed, or printed. */
  readonly text: string;
  /** Why what was typed is not taken. */
  readonly wrong: string | null;
  readonly help?: string;
  /** Only the input, named by the label: inside table rows and on the drawing. */
  readonly bare?: boolean;
  readonly autoFocus?: boolean;
  readonly inputMode?: "decimal";
  readonly onType: (text: string) => void;
  readonly onLeave: () => void;
  readonly onPress: (e: KeyboardEvent<HTMLInputElement>) => void;
}

/** A number as its maker types it, its unit beside it, and what is wrong with it beneath. */
export function TypedRow(props: TypedRowProps) {
  const onType = useSteady(props.onType);
  const onLeave = useSteady(props.onLeave);
  const onPress = useSteady(props.onPress);
  return <Row {...props} onType={onType} onLeave={onLeave} onPress={onPress} />;
}

/** Drawn again only when it reads otherwise: a panel has dozens. */
const Row = memo(function Row(props: TypedRowProps) {
  const { label, unit, wrong, bare } = props;
  const input = (
    <InputGroup
      endElement={unit}
      endElementProps={{ fontSize: "sm", color: "graphite", px: "2", pointerEvents: "none" }}
    >
      <Input
        size="sm"
        bg="ground"
        textAlign="end"
        pe={unit.length > LONG_UNIT ? "14" : unit ? "9" : "2"}
        inputMode={props.inputMode}
        aria-label={bare ? label : undefined}
        aria-invalid={wrong !== null}
        autoFocus={props.autoFocus}
        title={bare && wrong ? wrong : undefined}
        value={props.text}
        onChange={(e) => props.onType(e.target.value)}
        onFocus={(e) => e.target.select()}
        onBlur={props.onLeave}
        onKeyDown={props.onPress}
      />
    </InputGroup>
  );
  if (!bare)
    return (
      <FieldRow label={label} help={props.help} wrong={wrong}>
        {input}
      </FieldRow>
    );
  return (
    <Field.Root invalid={wrong !== null}>
      {input}
      <Field.ErrorText>{wrong}</Field.ErrorText>
    </Field.Root>
  );
});
