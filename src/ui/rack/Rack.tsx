"use client";
import { Button, Flex, HStack, Stack, Text } from "@chakra-ui/react";
import { FileDown, Plus } from "lucide-react";
import { useRouter } from "next/navigation";
import { useState } from "react";
import { addDemoKnives } from "@/store/demo";
import { addKnife, freeName, takenNames } from "@/store/knives";
import type { RackFigureStore } from "@/store/rackFigures";
import { addVariants } from "@/store/variants";
import { BinLink } from "../bin/BinLink";
import { Hatches } from "../drawing/Hatches";
import { FileButton } from "../fields/FileButton";
import { openKnifeFile } from "../files";
import { Header } from "../shell/Header";
import { attempt, notices } from "../shell/notice";
import { PageHead } from "../shell/PageHead";
import { BackupReminder } from "./BackupReminder";
import { RackList } from "./RackList";
import { RackTools } from "./RackTools";
import { type RefusedFile, RefusedFiles } from "./RefusedFiles";
import { useRack } from "./useRack";
import { showAll, useRackView } from "./useRackView";

/** Every knife, drawn small to one scale, with its weight and balance. */
export function Rack() {
  const { ids, figures } = useRack();
  const [refused, setRefused] = useState<readonly RefusedFile[]>([]);
  const router = useRouter();

  const make = () => router.push("/new");
  const bring = async (files: readonly File[]) => {
    const bad: RefusedFile[] = [];
    for (const file of files) {
      const opened = await openKnifeFile(file);
      if (!opened.ok) bad.push(opened);
      else {
        const name = freeName(opened.design.name, await takenNames());
        const record = await addKnife({ ...opened.design, name });
        if (opened.variants.length > 0)
          await attempt(`The variants of ${name} are not kept`, () =>
            addVariants(record.id, opened.variants),
          );
        showAll();
        notices.success({ title: `${record.design.name} is on the rack` });
      }
    }
    setRefused(bad);
  };

  return (
    <Flex direction="column" minH="100vh">
      <Header />
      <Stack as="main" w="full" maxW="1240px" mx="auto" px="6" py="5" gap="4">
        <PageHead title="Rack" note="All knives to one scale. Open one to work on it.">
          <BinLink />
          <FileButton
            accept=".json,application/json"
            multiple
            testId="import-file"
            failure="The files could not be taken in"
            onFiles={bring}
          >
            <FileDown /> Import
          </FileButton>
          <Button onClick={make}>
            <Plus /> New knife
          </Button>
        </PageHead>
        <RefusedFiles files={refused} onClose={() => setRefused([])} />
        {/* Pattern definitions that every small drawing below refers to. */}
        <svg width="0" height="0" aria-hidden="true" style={{ position: "absolute" }}>
          <Hatches />
        </svg>
        <BackupReminder />
        {!ids && <Text color="graphite">Opening the rack …</Text>}
        {ids && figures && ids.length > 0 && <ShownRack ids={ids} figures={figures} />}
        {ids?.length === 0 && <EmptyRack onNew={make} />}
      </Stack>
    </Flex>
  );
}

/** The knives that are looked for, under what looks for them. */
function ShownRack({ ids, figures }: { ids: readonly string[]; figures: RackFigureStore }) {
  const { view, setView, shown } = useRackView(ids, figures);
  return (
    <>
      <RackTools view={view} onChange={setView} shown={shown?.length ?? ids.length} all={ids.length} />
      {shown === null && <Text color="graphite">Looking through the rack …</Text>}
      {shown && shown.length > 0 && <RackList ids={shown} all={ids} figures={figures} />}
      {shown?.length === 0 && (
        <Stack align="center" gap="3" py="16" bg="sheet" borderWidth="1px" borderRadius="md">
          <Text fontSize="lg" fontWeight="600">
            No knife matches
          </Text>
          <Text color="graphite">
            Every word of a search must be in its name, notes, customer or materials.
          </Text>
          <Button variant="outline" onClick={showAll}>
            Show all {ids.length}
          </Button>
        </Stack>
      )}
    </>
  );
}

function EmptyRack({ onNew }: { onNew: () => void }) {
  return (
    <Stack align="center" gap="3" py="16" bg="sheet" borderWidth="1px" borderRadius="md">
      <Text fontSize="lg" fontWeight="600">
        The rack is empty
      </Text>
      <Text color="graphite">Begin a knife, import a file, or add the demo knives to look round.</Text>
      <HStack>
        <Button onClick={onNew}>New knife</Button>
        <Button
          variant="outline"
          onClick={() => void attempt("The demo knives were not laid out", addDemoKnives)}
        >
          Add the demo knives
        </Button>
      </HStack>
    </Stack>
  );
}
