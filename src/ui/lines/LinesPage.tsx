"use client";
import { Button, Flex, Stack, Text } from "@chakra-ui/react";
import { Plus } from "lucide-react";
import { useEffect, useState } from "react";
import { firstVisit } from "@/store/firstVisit";
import { addLine, useLines } from "@/store/lines";
import { BinLink } from "../bin/BinLink";
import { attempt } from "../kit/notice";
import { Header } from "../shell/Header";
import { PageHead } from "../shell/PageHead";
import { LineSection } from "./LineSection";

/** Product lines: one blank in several grades, what each weighs, costs and is to sell for. */
export function LinesPage() {
  const lines = useLines();
  // Whoever opens this first of all finds the demo line, as on the rack the demo knives.
  useEffect(() => void attempt("The rack could not be laid out", firstVisit), []);
  const [added, setAdded] = useState<string | null>(null);
  const add = () =>
    attempt("No line was added", async () => {
      const line = await addLine(`Line ${(lines?.length ?? 0) + 1}`);
      setAdded(line.id);
    });
  return (
    <Flex direction="column" minH="100vh">
      <Header />
      <Stack as="main" w="full" maxW="1240px" mx="auto" px={{ base: "3", sm: "6" }} py="5" gap="6">
        <PageHead
          title="Lines"
          note="One blank in several grades: the same blade, tang and holes, so that handles interchange; each with its price, and all of them made together."
        >
          <BinLink />
          <Button onClick={() => void add()} disabled={!lines}>
            <Plus /> New line
          </Button>
        </PageHead>
        {!lines && <Text color="graphite">Opening the lines …</Text>}
        {lines?.length === 0 && (
          <Text color="graphite" py="8" textAlign="center" bg="sheet" borderWidth="1px" borderRadius="md">
            There is no line yet. Begin one, and put in a knife of the rack and its grades: the same knife in
            other materials.
          </Text>
        )}
        {lines?.map((line) => (
          <LineSection key={line.id} line={line} isNew={line.id === added} />
        ))}
      </Stack>
    </Flex>
  );
}
