import { Button, Flex, Stack, Text } from "@chakra-ui/react";
import { TriangleAlert } from "lucide-react";
import type { ReactNode } from "react";
import type { Damaged } from "@/store/reading";
import { damageWords } from "@/words/storage";
import { downloadRaw } from "../files/files";

/** A record that cannot be read: why, and that it can be had as it lies there. Nothing of it is touched. */
export function DamagedNote({ damaged, children }: { damaged: Damaged; children?: ReactNode }) {
  const why = damageWords(damaged.reason);
  return (
    <Flex align="center" gap="3" px="5" py="3" borderBottomWidth="1px" data-testid="damaged-row">
      <TriangleAlert aria-hidden="true" />
      <Stack gap="0" flex="1" minW="0">
        <Text fontWeight="600" color="fault">
          Damaged: {damaged.name}
        </Text>
        <Text color="graphite" lineClamp={3} title={why}>
          {why}
        </Text>
      </Stack>
      <Flex gap="2">
        <Button size="sm" variant="outline" onClick={() => downloadRaw(damaged.name, damaged.raw)}>
          Export the raw record
        </Button>
        {children}
      </Flex>
    </Flex>
  );
}
