"use client";
import { Box, Flex } from "@chakra-ui/react";
import { memo, useEffect, useRef } from "react";
import { useStore } from "zustand";
import { getKnife } from "@/store/knives";
import { areOf, type RackFigureStore } from "@/store/rackFigures";
import { useKept } from "@/store/useKept";
import { DamagedRow } from "./DamagedRow";
import { KnifeRow } from "./KnifeRow";
import { readLast, rememberRead } from "./lastRead";
import { RULE_PX, rowHeight } from "./measures";
import type { Reach } from "./useReach";

interface Props {
  readonly id: string;
  readonly figures: RackFigureStore;
  readonly reach: Reach;
}

/** One place on the rack: its knife, or what is wrong with its record. Scrolling alone does not draw it again. */
export const RackRow = memo(function RackRow({ id, figures, reach }: Props) {
  const fresh = useKept(() => getKnife(id), [id]);
  const known = useStore(figures, (s) => s.known.get(id));
  const failure = useStore(figures, (s) => s.failure);
  const reading = fresh ?? readLast(id);
  const updatedAt = reading?.ok ? reading.record.updatedAt : null;
  useEffect(() => {
    if (fresh) rememberRead(id, fresh);
  }, [fresh, id]);
  const seen = useRef(updatedAt);
  useEffect(() => {
    if (updatedAt !== null && seen.current !== null && updatedAt !== seen.current) figures.changed(id);
    seen.current = updatedAt;
  }, [updatedAt, id, figures]);

  if (!reading)
    return (
      <Flex
        align="center"
        gap="3"
        px="3"
        h={`${rowHeight(known?.extent ?? null, reach) + RULE_PX}px`}
        borderBottomWidth={`${RULE_PX}px`}
        aria-hidden="true"
      >
        <Box w={`${reach.isStacked ? 0 : reach.drawingPx}px`} flexShrink="0" />
        <Box h="12" flex="1" maxW="220px" bg="ground" borderRadius="md" />
      </Flex>
    );
  if (!reading.ok) return <DamagedRow damaged={reading.damaged} />;
  const current = areOf(known, reading.record);
  return (
    <KnifeRow
      knife={reading.record}
      figures={known ? { ...known, old: !current } : null}
      failure={current ? null : failure}
      onAgain={figures.again}
      reach={reach}
    />
  );
});
