"use client";
import { Button, Flex, HStack, Stack, Text } from "@chakra-ui/react";
import { TriangleAlert } from "lucide-react";
import { removeKnife, restoreKnife } from "@/store/knives";
import type { Damaged } from "@/store/reading";
import { damageWords } from "@/words/storage";
import { downloadRaw } from "../files";
import { attempt, notices } from "../shell/notice";

/** A record that cannot be read: why, and what can be done with it. Nothing of it is touched. */
export function DamagedRow({ damaged }: { damaged: Damaged }) {
  const remove = async () => {
    if (!(await removeKnife(damaged.id)))
      return notices.error({ title: "It could not be taken off the rack" });
    notices.create({
      title: "The damaged record is in the bin",
      duration: 15_000,
      action: {
        label: "Put it back",
        onClick: () => void attempt("It could not be put back", () => restoreKnife(damaged.id)),
      },
    });
  };
  return (
    <Flex align="center" gap="3" px="5" py="3" borderBottomWidth="1px" data-testid="damaged-row">
      <TriangleAlert aria-hidden="true" />
      <Stack gap="0" flex="1" minW="0">
        <Text fontWeight="600" color="fault">
          Damaged: {damaged.name}
        </Text>
        <Text color="graphite" lineClamp={3} title={damageWords(damaged.reason)}>
          {damageWords(damaged.reason)}
        </Text>
      </Stack>
      <HStack>
        <Button size="sm" variant="outline" onClick={() => downloadRaw(damaged.name, damaged.raw)}>
          Export as it lies there
        </Button>
        <Button
          size="sm"
          variant="outline"
          onClick={() => void attempt("It could not be taken off the rack", remove)}
        >
          To the bin
        </Button>
      </HStack>
    </Flex>
  );
}
