"use client";
import { Button, Flex } from "@chakra-ui/react";

/** The end of a form: what it says is kept, or nothing is. */
export function KeepOrCancel(props: {
  readonly says?: string;
  readonly disabled?: boolean;
  readonly onKeep: () => void;
  readonly onCancel: () => void;
}) {
  return (
    <Flex gap="2">
      <Button size="sm" disabled={props.disabled} onClick={props.onKeep}>
        {props.says ?? "Keep it"}
      </Button>
      <Button size="sm" variant="ghost" onClick={props.onCancel}>
        Cancel
      </Button>
    </Flex>
  );
}
