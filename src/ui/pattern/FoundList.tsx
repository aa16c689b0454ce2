"use client";
import { Button, Stack, Text } from "@chakra-ui/react";
import type { FoundShapes } from "@/core/exchange/pattern/found";
import { type DrawingUnit, UNITS } from "@/core/exchange/pattern/trace";
import { boxOf, straightLoop } from "@/core/geometry/contours/loop";
import type { PassedOver } from "@/core/geometry/contours/raw";
import { passedOverWords } from "@/words/drawings";
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

/** What was found, to pick an outline from, and what was done to find it. */
export function FoundList({
  found,
  passedOver,
  assigned,
}: {
  found: FoundShapes;
  passedOver: PassedOver;
  assigned: Assigned;
}) {
  const passed = passedOverWords(passedOver);
  const notes = [
    found.joined > 0 ? `${found.joined} open by a hair were joined` : "",
    found.doubled > 0 ? `${found.doubled} drawn twice were left out` : "",
    passed ? `passed over: ${passed}` : "",
  ].filter(Boolean);
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
      {notes.length > 0 && (
        <Text color="graphite" fontSize="sm">
          {notes.join("; ")}.
        </Text>
      )}
    </Stack>
  );
}
