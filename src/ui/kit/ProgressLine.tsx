"use client";
import { Button, HStack, Progress, Text } from "@chakra-ui/react";

/** Something that takes its time: what is done, how far it is, and a way to call it off. `done` is null where that is not known. */
export function ProgressLine(props: {
  readonly says: string;
  readonly done: number | null;
  readonly onCancel?: () => void;
}) {
  const { says, done, onCancel } = props;
  return (
    <HStack gap="3" data-testid="progress">
      <Progress.Root size="sm" w="180px" flexShrink="0" value={done === null ? null : Math.round(100 * done)}>
        <Progress.Track>
          <Progress.Range />
        </Progress.Track>
      </Progress.Root>
      <Text color="graphite" role="status" flex="1" minW="0">
        {says}
      </Text>
      {onCancel && (
        <Button size="xs" variant="outline" onClick={onCancel}>
          Cancel
        </Button>
      )}
    </HStack>
  );
}
