"use client";
import { Button, HStack, Text } from "@chakra-ui/react";

/** Asked in a dialog before what was typed in it is thrown away. */
export function ConfirmLeave({ onStay, onLeave }: { onStay: () => void; onLeave: () => void }) {
  return (
    <HStack role="alertdialog" aria-label="Throw away what was typed?" wrap="wrap" flex="1" gap="3">
      <Text flex="1" minW="200px">
        Throw away what you typed?
      </Text>
      <Button variant="outline" color="fault" onClick={onLeave}>
        Throw it away
      </Button>
      <Button autoFocus onClick={onStay}>
        Keep typing
      </Button>
    </HStack>
  );
}
