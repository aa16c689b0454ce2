"use client";
import { Checkbox } from "@chakra-ui/react";
import { memo } from "react";
import { useSteady } from "../kit/useSteady";

interface TickProps {
  readonly label: string;
  readonly checked: boolean;
  readonly onChange: (on: boolean) => void;
}

/** A tick for a yes or no. */
export function Tick(props: TickProps) {
  return <Box {...props} onChange={useSteady(props.onChange)} />;
}

const Box = memo(function Box(props: TickProps) {
  return (
    <Checkbox.Root
      size="sm"
      checked={props.checked}
      onCheckedChange={({ checked }) => props.onChange(checked === true)}
    >
      <Checkbox.HiddenInput />
      <Checkbox.Control />
      <Checkbox.Label>{props.label}</Checkbox.Label>
    </Checkbox.Root>
  );
});
