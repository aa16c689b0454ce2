"use client";
import { Box, Button, Flex, Input, Stack, Text } from "@chakra-ui/react";
import { FileDown, FileUp, Plus } from "lucide-react";
import { useEffect, useState } from "react";
import type { Lot } from "@/core/shelf/version";
import { firstVisit } from "@/store/firstVisit";
import { addLot, allLots, takeLots, useLots } from "@/store/lots";
import { counted } from "@/words/grammar";
import { shelfFailureWords, stuffWords } from "@/words/shelf";
import { BinLink } from "../bin/BinLink";
import { FileButton } from "../fields/FileButton";
import { noticeBroughtIn } from "../files/bringTogether";
import { download } from "../files/files";
import { useMaterialOf } from "../kit/materials";
import { attempt, notices } from "../kit/notice";
import { Header } from "../shell/Header";
import { PageHead } from "../shell/PageHead";
import { LotCard } from "./LotCard";
import { NewLot } from "./NewLot";
import { ShoppingSection } from "./ShoppingSection";
import { useShopping } from "./useShopping";

/** Lots that are there, whether they are spoken for, and what has to be bought for knives. */
export function Shelf() {
  const lots = useLots();
  const shopping = useShopping(lots);
  // Whoever opens the shelf first of all finds the demo lots, as on the rack the demo knives.
  useEffect(() => void attempt("The shelf could not be laid out", firstVisit), []);
  const [adding, setAdding] = useState(false);
  const [words, setWords] = useState("");
  const [openId, setOpenId] = useState<string | null>(null);
  const materialOf = useMaterialOf();
  const shown = (lots ?? []).filter((l) => matches(l, words, stuffWords(l.of, materialOf)));
  const bring = async ([file]: readonly File[]) => {
    const { LARGEST_SHELF_BYTES, readShelf } = await import("@/core/exchange/files/shelf/shelf");
    const bytes =
      file.size > LARGEST_SHELF_BYTES
        ? new Uint8Array(LARGEST_SHELF_BYTES + 1)
        : new Uint8Array(await file.arrayBuffer());
    const reading = readShelf(bytes);
    if (!reading.ok)
      return notices.error({
        title: `${file.name} was not taken in`,
        description: shelfFailureWords(reading),
      });
    const brought = await takeLots(reading.lots);
    if (brought.count === 0) return notices.info({ title: "All of these lots are on the shelf already" });
    noticeBroughtIn(`${counted(brought.count, "lot")} taken in`, brought);
  };
  const keep = () =>
    attempt("The lots were not written", async () => {
      const { writeShelf } = await import("@/core/exchange/files/shelf/shelf");
      download(new Blob([writeShelf(await allLots())], { type: "application/json" }), "shelf.euaxis.json");
    });
  return (
    <Flex direction="column" minH="100vh">
      <Header />
      <Stack as="main" w="full" maxW="1240px" mx="auto" px={{ base: "3", sm: "6" }} py="5" gap="6">
        <PageHead
          title="Shelf"
          note="What is there: pieces, rods, screws, glue. A part that is made of a lot has its density and reserves it; what is missing for your knives is on the list below."
        >
          <BinLink />
          <FileButton
            accept=".json,application/json"
            testId="shelf-file"
            failure="The lots were not read"
            onFiles={bring}
          >
            <FileDown /> Import
          </FileButton>
          <Button variant="outline" disabled={!lots || lots.length === 0} onClick={() => void keep()}>
            <FileUp /> Export
          </Button>
          <Button aria-expanded={adding} onClick={() => setAdding(!adding)}>
            <Plus /> New lot
          </Button>
        </PageHead>
        {adding && (
          <NewLot
            onDone={(chosen) => {
              setAdding(false);
              if (chosen)
                void attempt("No lot was added", async () => {
                  const lot = await addLot(chosen.of, chosen.name);
                  setOpenId(lot.id);
                });
            }}
          />
        )}
        {lots && lots.length > 6 && (
          <Input
            aria-label="Find a lot"
            placeholder="Find a lot"
            bg="sheet"
            maxW="320px"
            value={words}
            onChange={(e) => setWords(e.target.value)}
          />
        )}
        {!lots && <Text color="graphite">Opening the shelf …</Text>}
        {lots?.length === 0 && (
          <Text color="graphite" py="8" textAlign="center" bg="sheet" borderWidth="1px" borderRadius="md">
            Nothing is noted yet. Begin with what you would reach for next: a pair of scales, a bar, a rod.
          </Text>
        )}
        {lots && lots.length > 0 && (
          <Box bg="sheet" borderWidth="1px" borderRadius="md" as="section" aria-label="Lots">
            {shown.length === 0 && (
              <Text p="4" color="graphite">
                No lot is called so.
              </Text>
            )}
            {shown.map((lot) => (
              <LotCard
                key={lot.id}
                lot={lot}
                open={openId === lot.id}
                onOpen={(on) => setOpenId(on ? lot.id : null)}
                taken={shopping.list?.taken.filter((t) => t.lot.id === lot.id) ?? []}
              />
            ))}
          </Box>
        )}
        <ShoppingSection {...shopping} />
      </Stack>
    </Flex>
  );
}

function matches({ name, place, note }: Lot, words: string, stuff: string): boolean {
  const wanted = words.trim().toLowerCase();
  return wanted === "" || [name, place, note, stuff].some((t) => t.toLowerCase().includes(wanted));
}
