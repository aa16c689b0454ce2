"use client";
import { Box, Button, Flex, HStack, Stack, Text } from "@chakra-ui/react";
import { format } from "date-fns";
import { useState } from "react";
import { BIN_DAYS, type BinItem, binItems, deleteForGood, putBack } from "@/store/bin";
import type { BinReason } from "@/store/rows";
import { useKept } from "@/store/useKept";
import { counted } from "@/words/grammar";
import { NearLink } from "../kit/NearLink";
import { attempt, notices } from "../kit/notice";
import { Header } from "../shell/Header";
import { PageHead } from "../shell/PageHead";

/** Deleted knives, for as long as they can be had back. */
export function Bin() {
  const items = useKept(() => binItems(), []);
  return (
    <Flex direction="column" minH="100vh">
      <Header />
      <Stack as="main" w="full" maxW="900px" mx="auto" px="6" py="5" gap="4">
        <PageHead
          title="Bin"
          note={`What was deleted lies here for ${BIN_DAYS} days, a knife with all that belongs to it; so does what gave way to another tab's change.`}
        >
          <Button asChild variant="outline">
            <NearLink href="/">Back to the rack</NearLink>
          </Button>
          {items && items.length > 0 && <ForGood name="Empty the bin" ids={items.map((i) => i.id)} />}
        </PageHead>
        {items?.length === 0 && (
          <Text color="graphite" py="12" textAlign="center" bg="sheet" borderWidth="1px" borderRadius="md">
            The bin is empty.
          </Text>
        )}
        {items && items.length > 0 && (
          <Box bg="sheet" borderWidth="1px" borderRadius="md">
            {items.map((item) => (
              <Item key={item.id} item={item} />
            ))}
          </Box>
        )}
      </Stack>
    </Flex>
  );
}

const REASONS: Record<BinReason, string> = {
  deleted: "deleted",
  replaced: "replaced",
  "other-tab": "from another tab,",
};

const WHY_NOT = {
  gone: "It is in the bin no more.",
  "owner-gone": "The knife that it belongs to is not on the rack. Put the knife back first.",
  unknown: "It is of a newer Euaxis.",
  "not-written": "The browser did not take it.",
} as const;

function Item({ item }: { item: BinItem }) {
  const back = () =>
    attempt(`${item.name} could not be put back`, async () => {
      const answer = await putBack(item.id);
      if (answer.ok)
        notices.success({
          title: item.from === "knives" ? `${item.name} is on the rack again` : `${item.name} is back`,
          description: answer.swapped ? "What stood in its place lies in the bin now." : undefined,
        });
      else notices.error({ title: `${item.name} could not be put back`, description: WHY_NOT[answer.code] });
    });
  return (
    <Flex align="center" gap="4" px="4" py="3" borderBottomWidth="1px" data-testid="bin-row">
      <Stack gap="0" flex="1" minW="0">
        <Text fontWeight="600" truncate>
          {item.name}
        </Text>
        <Text color="graphite" fontSize="sm">
          {item.from !== "knives" && `${item.kind} · `}
          {REASONS[item.because]} {format(item.deletedAt, "d MMM yyyy, HH:mm")} ·{" "}
          {`${counted(item.daysLeft, "day")} left`}
        </Text>
      </Stack>
      <HStack>
        <Button size="sm" onClick={() => void back()} aria-label={`Put ${item.name} back`}>
          Put back
        </Button>
        <ForGood name="Delete for good" of={item.name} ids={[item.id]} />
      </HStack>
    </Flex>
  );
}

/** Deletes for good, when it is asked for a second time: this cannot be undone. */
function ForGood({ name, of, ids }: { name: string; of?: string; ids: readonly string[] }) {
  const [sure, setSure] = useState(false);
  return (
    <Button
      size={of ? "sm" : undefined}
      variant="outline"
      color="fault"
      aria-label={of ? `${sure ? "Really: delete" : "Delete"} ${of} for good` : undefined}
      onBlur={() => setSure(false)}
      onClick={() => (sure ? void attempt("Nothing was deleted", () => deleteForGood(ids)) : setSure(true))}
    >
      {sure ? "Really? It cannot be undone" : name}
    </Button>
  );
}
