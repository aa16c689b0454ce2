"use client";
import { Button, HStack, Text } from "@chakra-ui/react";

/** Asked in a dialog before what was typed in it is thrown away. */
export function ConfirmLeave({ onStay, onLeave }: { onStay: () => void; onLeave: () => void }) {
  return (
    <HStack
      role="alertdialog"
      aria-label="Throw away what was typed?"
      wrap="wrap"
      justify="end"
      flex="1 0 auto"
      gap="3"
    >
      <Text>Throw away what you typed?</Text>
      <HStack gap="3">
        <Button variant="outline" color="fault" onClick={onLeave}>
          Throw it away
        </Button>
        <Button autoFocus onClick={onStay}>
          Keep typing
        </Button>
      </HStack>
    </HStack>
  );
}
