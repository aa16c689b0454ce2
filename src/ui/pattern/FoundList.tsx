"use client";
import { Button, Stack, Text } from "@chakra-ui/react";
import type { FoundShapes } from "@/core/exchange/pattern/found";
import { hundredthUp } from "@/core/exchange/pattern/gaps";
import { type DrawingUnit, UNITS } from "@/core/exchange/pattern/trace";
import { boxOf, straightLoop } from "@/core/geometry/contours/loop";
import { foundWords, UNIT_WORDS } from "@/words/patterns";
import { ChoiceField } from "../fields/ChoiceField";
import type { Assigned } from "./useAssigned";
import type { PatternState } from "./usePattern";

/** The unit that a drawing is in: as its file says, or the likely one, and how long that makes it. */
export function UnitChoice({ state }: { state: PatternState }) {
  const { pattern, reachMm } = state;
  if (!pattern) return null;
  const stated = pattern.drawing.mmPerUnit;
  const units = (Object.keys(UNITS) as DrawingUnit[]).map((u) => ({
    value: u as DrawingUnit | "stated",
    name: UNIT_WORDS[u],
  }));
  return (
    <ChoiceField
      label="Drawn in"
      wide
      value={pattern.unit}
      choices={stated === null ? units : [{ value: "stated", name: "As the file says" }, ...units]}
      onChange={state.setUnit}
      help={`${stated === null ? "The file does not say; this is the likely one. " : ""}The drawing is ${reachMm.toFixed(1)} mm (${(reachMm / 25.4).toFixed(2)} in) over all.`}
    />
  );
}

/** What was found, to pick an outline from, and what was done to find it; `onClose` where gaps can be closed. */
export function FoundList({
  found,
  notes,
  onClose,
  assigned,
}: {
  found: FoundShapes;
  notes: readonly string[];
  onClose: ((upToMm: number) => void) | null;
  assigned: Assigned;
}) {
  const { gapMm } = found;
  const outlines = found.shapes.filter((s) => s.kind !== "circle");
  return (
    <Stack gap="1">
      <Text fontWeight="600">Found</Text>
      <Stack gap="1" role="group" aria-label="Outlines found" maxH="180px" overflowY="auto">
        {outlines.map((s) => {
          const box = boxOf([straightLoop(s.points)]) ?? { x0: 0, x1: 0, y0: 0, y1: 0 };
          const words = foundWords(s, { widthMm: box.x1 - box.x0, heightMm: box.y1 - box.y0 });
          return (
            <Button
              key={s.id}
              size="xs"
              h="auto"
              py="1"
              whiteSpace="normal"
              textAlign="start"
              justifyContent="start"
              variant={s.id === assigned.outline?.id ? "solid" : "outline"}
              aria-pressed={s.id === assigned.outline?.id}
              disabled={s.kind === "open"}
              onClick={() => assigned.pick(s.id)}
            >
              {words}
              {s.layer && ` · ${s.layer}`}
            </Button>
          );
        })}
        {outlines.length === 0 && <Text color="fault">No closed outline.</Text>}
      </Stack>
      {gapMm !== null && onClose && (
        <Button size="xs" variant="outline" alignSelf="start" onClick={() => onClose(hundredthUp(gapMm))}>
          Close gaps up to {hundredthUp(gapMm).toFixed(2)} mm
        </Button>
      )}
      {notes.length > 0 && (
        <Text as="ul" color="graphite" fontSize="sm" listStyleType="none" aria-label="About this drawing">
          {notes.map((note) => (
            <li key={note}>{note}.</li>
          ))}
        </Text>
      )}
    </Stack>
  );
}
