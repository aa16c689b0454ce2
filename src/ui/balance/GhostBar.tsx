"use client";
import { Button, Flex, Text } from "@chakra-ui/react";
import { Check, X } from "lucide-react";
import { useMemo } from "react";
import { printLength, printMass } from "@/core/base/units/print";
import { useUnits } from "@/store/settings";
import { editWords } from "@/words/edits";
import { createWeigher } from "@/workers/services";
import { useWorkerQueries } from "../kit/useWorkerQuery";
import { useBench } from "../session/BenchContext";
import type { Ghost } from "./ghost";

/** What is being tried, what the knife would weigh, and whether to keep it. */
export function GhostBar({ ghost, onEnd }: { ghost: Ghost; onEnd: () => void }) {
  const { edit } = useBench();
  const units = useUnits();
  const designs = useMemo(() => [ghost.design], [ghost]);
  const weighing = useWorkerQueries(createWeigher, designs, (s, d) => s.weigh(d)).get(ghost.design);
  const report = weighing && weighing !== "failed" && weighing.ok ? weighing.report : null;
  return (
    <Flex
      gap="3"
      align="center"
      bg="sheet"
      borderWidth="1px"
      borderRadius="sm"
      px="3"
      py="2"
      data-testid="ghost-bar"
    >
      <Text flex="1">
        Trying <b>{editWords(ghost.edit, ghost.of, units)}</b>
        {report && (
          <>
            : {printMass(report.massG, units)}, balance {printLength(report.balanceMm, units)}
          </>
        )}
      </Text>
      <Button
        size="xs"
        onClick={() => {
          edit(ghost.edit);
          onEnd();
        }}
      >
        <Check /> Keep it
      </Button>
      <Button size="xs" variant="outline" onClick={onEnd}>
        <X /> Leave it
      </Button>
    </Flex>
  );
}
