"use client";
import { Button, Flex, HStack, Stack, Text } from "@chakra-ui/react";
import { FileDown, Plus } from "lucide-react";
import { useRouter } from "next/navigation";
import { useEffect } from "react";
import { addDemoKnives } from "@/store/demo";
import type { RackFigureStore } from "@/store/rackFigures";
import { BinLink } from "../bin/BinLink";
import { Hatches } from "../drawing/Hatches";
import { FileButton } from "../fields/FileButton";
import { attempt } from "../kit/notice";
import { ProgressLine } from "../kit/ProgressLine";
import { Header } from "../shell/Header";
import { PageHead } from "../shell/PageHead";
import { BackupReminder } from "./BackupReminder";
import { keepGlance } from "./glance";
import { RackGlance } from "./RackGlance";
import { RackList } from "./RackList";
import { RackTools } from "./RackTools";
import { RefusedFiles } from "./RefusedFiles";
import { useImport } from "./useImport";
import { useRack } from "./useRack";
import { showAll, useRackView } from "./useRackView";

/** Every knife, drawn small to one scale, with its weight and balance. */
export function Rack() {
  const { ids, figures } = useRack();
  const bringing = useImport();
  const router = useRouter();

  const make = () => router.push("/new");

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
            failure="Import failed"
            disabled={bringing.working !== null}
            onFiles={bringing.open}
          >
            <FileDown /> Import
          </FileButton>
          <Button onClick={make}>
            <Plus /> New knife
          </Button>
        </PageHead>
        {bringing.working && <ProgressLine {...bringing.working} />}
        <RefusedFiles files={bringing.refused} onClose={bringing.clearRefused} />
        {/* Pattern definitions that every small drawing below refers to. */}
        <svg width="0" height="0" aria-hidden="true" style={{ position: "absolute" }}>
          <Hatches />
        </svg>
        <BackupReminder />
        {!ids && (
          <>
            <Text color="graphite">Opening the rack …</Text>
            <RackGlance />
          </>
        )}
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
  useEffect(() => keepGlance([]), []);
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
