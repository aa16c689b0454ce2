"use client";
import { HStack, Spinner, Text } from "@chakra-ui/react";
import { useLonger } from "./useLonger";

/** What takes longer than this says so, ms. */
const SAID_AFTER_MS = 500;

/** Says that something is being worked out, once it takes longer than half a second. */
export function UnderWay({ on, says }: { on: boolean; says: string }) {
  const shown = useLonger(on, SAID_AFTER_MS);
  return (
    <HStack
      as="span"
      role="status"
      gap="1.5"
      display="inline-flex"
      data-testid={shown ? "under-way" : undefined}
    >
      {shown && (
        <>
          <Spinner size="xs" color="graphite" />
          <Text as="span" color="graphite" fontSize="sm">
            {says}
          </Text>
        </>
      )}
    </HStack>
  );
}
