"use client";
import { Box, Button, Flex, Stack, Text } from "@chakra-ui/react";
import { nanoid } from "nanoid";
import { useMemo, useState } from "react";
import { withWayBack } from "@/core/plan/progress";
import type { PlannedTask } from "@/core/plan/state";
import { type WayBack, waysFrom } from "@/core/plan/waysBack";
import { useUnits } from "@/store/settings";
import { capital } from "@/words/grammar";
import { plannedWords } from "@/words/plan";
import { becomesWords, WAY_LENGTH_WORDS, wayWords } from "@/words/waysBack";
import { LengthField } from "../fields/LengthField";
import { notices } from "../kit/notice";
import { useWorkerQuery } from "../kit/useWorkerQuery";
import { useBench, useDesign } from "../session/BenchContext";
import { useBuild } from "./BuildContext";

/** What can go wrong here, and where it leads back to. */
export function WaysBackFields({ task }: { task: PlannedTask }) {
  const design = useDesign();
  const [open, setOpen] = useState(false);
  const ways = task.kind === null ? [] : waysFrom(task.kind, design);
  if (ways.length === 0) return null;
  return (
    <Box>
      <Button size="xs" variant="outline" aria-expanded={open} onClick={() => setOpen(!open)}>
        {task.inspection ? "It failed …" : "Something went wrong …"}
      </Button>
      {open && (
        <Stack gap="2" mt="2" role="group" aria-label={`Ways back: ${plannedWords(task)}`}>
          {ways.map((way) => (
            <OneWay key={way.code} way={way} task={task} />
          ))}
        </Stack>
      )}
    </Box>
  );
}

function OneWay({ way, task }: { way: WayBack; task: PlannedTask }) {
  const { change, sheet } = useBuild();
  const { edit } = useBench();
  const [mm, setMm] = useState(way.asks?.usualMm ?? 0);
  const { name, says } = wayWords(way.code);
  const design = useDesign();
  const units = useUnits();
  const about = useMemo(() => (way.change ? { design, mm } : null), [way, design, mm]);
  const { answer, of } = useWorkerQuery(about, (s, a) => s.wayBecomes(a.design, way.code, a.mm));
  const take = () => {
    const of = { id: nanoid(12), on: task.id, at: Date.now(), note: way.asks ? `${mm} mm` : "" };
    if (way.change) edit({ code: "way-back", way: way.code, mm });
    change((p) => withWayBack(p, sheet.tasks, way, of));
    notices.info({
      title: name,
      description: `${says} It stands under “What went wrong”, where it can be taken back.`,
    });
  };
  return (
    <Flex gap="2" align="center" wrap="wrap" borderLeftWidth="3px" ps="2">
      <Box flex="1" minW="200px">
        <Text fontWeight="600" fontSize="sm">
          {name}
        </Text>
        <Text fontSize="sm" color="graphite">
          {says}
        </Text>
        {way.change && of === about && (
          <Text fontSize="sm" fontWeight="600" data-testid="way-becomes">
            {capital(becomesWords(answer, units))}
          </Text>
        )}
      </Box>
      {way.asks && (
        <Box w="260px">
          <LengthField
            label={WAY_LENGTH_WORDS[way.asks.of]}
            mm={mm}
            min={way.asks.lowMm}
            max={way.asks.highMm}
            onChange={setMm}
          />
        </Box>
      )}
      <Button size="xs" aria-label={`Go back: ${name}`} onClick={take}>
        Go back
      </Button>
    </Flex>
  );
}
