"use client";
import { Box, Button, Flex, HStack, Stack, Text } from "@chakra-ui/react";
import { useLiveQuery } from "dexie-react-hooks";
import { FileDown, Plus } from "lucide-react";
import { useRouter } from "next/navigation";
import { useEffect, useMemo, useRef, useState } from "react";
import { newDesign } from "@/core/design/create";
import { db } from "@/store/db";
import { addDemoKnives, layOutDemoKnivesOnce } from "@/store/demo";
import { addKnife, freeName } from "@/store/knives";
import { addVariants } from "@/store/variants";
import { knifeExtent } from "../drawing/extent";
import { Hatches } from "../drawing/Hatches";
import { openKnifeFile } from "../files";
import { Header } from "../shell/Header";
import { notices } from "../shell/notice";
import { PageHead } from "../shell/PageHead";
import { useWeighings } from "../useWeigher";
import { KnifeRow, RACK_DRAWING_PX } from "./KnifeRow";
import { RackRuler } from "./RackRuler";
import { type RefusedFile, RefusedFiles } from "./RefusedFiles";

/** Every knife, drawn small to one scale, with its weight and balance. */
export function Rack() {
  const knives = useLiveQuery(() => db.knives.orderBy("createdAt").toArray(), []);
  const [refused, setRefused] = useState<readonly RefusedFile[]>([]);
  const [seedFailure, setSeedFailure] = useState<string | null>(null);
  const picker = useRef<HTMLInputElement>(null);
  const router = useRouter();

  useEffect(() => {
    layOutDemoKnivesOnce().catch((e: unknown) => setSeedFailure(e instanceof Error ? e.message : String(e)));
  }, []);

  const designs = useMemo(() => (knives ?? []).map((k) => ({ key: k.id, design: k.design })), [knives]);
  const weighings = useWeighings(designs);
  const reach = useMemo(() => {
    const extents = designs.map((d) => knifeExtent(d.design));
    const behind = Math.max(100, ...extents.map((e) => -e.xLow));
    const ahead = Math.max(100, ...extents.map((e) => e.xHigh));
    return { behind, ahead, pxPerMm: (RACK_DRAWING_PX - 24) / (behind + ahead) };
  }, [designs]);

  const names = () => (knives ?? []).map((k) => k.design.name);
  const make = async () => {
    const record = await addKnife(newDesign(freeName("New knife", names())));
    router.push(`/knife/${record.id}`);
  };
  const bring = async (files: readonly File[]) => {
    const bad: RefusedFile[] = [];
    for (const file of files) {
      const opened = await openKnifeFile(file);
      if (!opened.ok) bad.push(opened);
      else {
        const taken = (await db.knives.toArray()).map((k) => k.design.name);
        const record = await addKnife({ ...opened.design, name: freeName(opened.design.name, taken) });
        await addVariants(record.id, opened.variants);
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
          <input
            ref={picker}
            type="file"
            accept=".json,application/json"
            multiple
            hidden
            data-testid="import-file"
            onChange={(e) => {
              void bring([...(e.target.files ?? [])]);
              e.target.value = "";
            }}
          />
          <Button variant="outline" onClick={() => picker.current?.click()}>
            <FileDown /> Import
          </Button>
          <Button onClick={() => void make()}>
            <Plus /> New knife
          </Button>
        </PageHead>
        <RefusedFiles files={refused} onClose={() => setRefused([])} />
        {seedFailure && <Text color="fault">The browser's database cannot be used: {seedFailure}</Text>}
        {/* Pattern definitions that every small drawing below refers to. */}
        <svg width="0" height="0" aria-hidden="true" style={{ position: "absolute" }}>
          <Hatches />
        </svg>
        {knives && knives.length > 0 && (
          <Box bg="sheet" borderWidth="1px" borderRadius="md">
            {knives.map((k) => (
              <KnifeRow
                key={k.id}
                knife={k}
                weighing={weighings.get(k.design) ?? null}
                behindMm={reach.behind}
                pxPerMm={reach.pxPerMm}
                takenNames={names}
              />
            ))}
            <RackRuler behindMm={reach.behind} aheadMm={reach.ahead} pxPerMm={reach.pxPerMm} />
          </Box>
        )}
        {knives?.length === 0 && <EmptyRack onNew={make} />}
      </Stack>
    </Flex>
  );
}

function EmptyRack({ onNew }: { onNew: () => Promise<void> }) {
  return (
    <Stack align="center" gap="3" py="16" bg="sheet" borderWidth="1px" borderRadius="md">
      <Text fontSize="lg" fontWeight="600">
        The rack is empty
      </Text>
      <Text color="graphite">Begin a knife, import a file, or lay out the demo knives to look round.</Text>
      <HStack>
        <Button onClick={() => void onNew()}>New knife</Button>
        <Button variant="outline" onClick={() => void addDemoKnives()}>
          Lay out the demo knives
        </Button>
      </HStack>
    </Stack>
  );
}
