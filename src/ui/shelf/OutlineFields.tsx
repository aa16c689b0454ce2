"use client";
import { Box, Button, Flex, Stack, Text, Textarea } from "@chakra-ui/react";
import { FileDown } from "lucide-react";
import { useState } from "react";
import { roundTo } from "@/core/base/number";
import { DRAWING_ENDINGS, DRAWING_NAMES } from "@/core/exchange/files/drawings";
import type { LotShape } from "@/core/shelf/lot";
import { parseOutline } from "@/core/shelf/typedOutline";
import { FieldRow } from "../fields/FieldRow";
import { FileButton } from "../fields/FileButton";
import { notices } from "../kit/notice";

type Shape = LotShape<"piece">;

/** A lot that is no box: its outline and its holes, typed point by point. */
export function OutlineFields({ shape, onChange }: { shape: Shape; onChange: (to: Partial<Shape>) => void }) {
  const [open, setOpen] = useState(false);
  const { outline, holes } = shape;
  if (!open)
    return (
      <Flex gap="2" align="center" wrap="wrap">
        {outline && <OutlineDrawing shape={shape} />}
        <Button size="xs" variant="outline" onClick={() => setOpen(true)}>
          {outline ? "Change its outline" : "It is no box: type its outline"}
        </Button>
        {outline && (
          <Button size="xs" variant="ghost" onClick={() => onChange({ outline: null, holes: [] })}>
            It is a box after all
          </Button>
        )}
      </Flex>
    );
  const typedBefore = (outline ?? []).map((p) => `${p.x}, ${p.y}`).join("\n");
  const holesBefore = holes.map((h) => `${h.xMm}, ${h.yMm}, ${h.diameterMm}`).join("\n");
  return (
    <Typed
      outline={typedBefore}
      holes={holesBefore}
      onDone={(to) => {
        setOpen(false);
        if (to) onChange(to);
      }}
    />
  );
}

function Typed(props: { outline: string; holes: string; onDone: (to: Partial<Shape> | null) => void }) {
  const [outline, setOutline] = useState(props.outline);
  const [holes, setHoles] = useState(props.holes);
  const reading = parseOutline(outline, holes);
  return (
    <Stack gap="1" role="group" aria-label="Outline">
      <FieldRow label="Points, x and y in mm, one a line" wide wrong={reading.ok ? null : reading.says}>
        <Textarea
          size="sm"
          bg="ground"
          rows={5}
          fontFamily="mono"
          value={outline}
          onChange={(e) => setOutline(e.target.value)}
        />
      </FieldRow>
      <FieldRow label="Holes: x, y and diameter" wide>
        <Textarea
          size="sm"
          bg="ground"
          rows={3}
          fontFamily="mono"
          value={holes}
          onChange={(e) => setHoles(e.target.value)}
        />
      </FieldRow>
      <FileButton
        size="xs"
        accept={DRAWING_ENDINGS}
        testId="lot-drawing"
        failure="The drawing was not read"
        alignSelf="start"
        onFiles={async ([file]) => {
          const { readOutline } = await import("./readOutline");
          const found = await readOutline(file);
          const two = (n: number) => roundTo(n, 2);
          setOutline(found.outline.map((p) => `${two(p.x)}, ${two(p.y)}`).join("\n"));
          setHoles(found.holes.map((h) => `${two(h.xMm)}, ${two(h.yMm)}, ${two(h.diameterMm)}`).join("\n"));
          if (!found.hasUnit)
            notices.info({
              title: "The drawing does not say its unit",
              description: "It was taken as millimetres.",
            });
        }}
      >
        <FileDown /> From a drawing, {DRAWING_NAMES}
      </FileButton>
      <Flex gap="2">
        <Button size="xs" disabled={!reading.ok} onClick={() => reading.ok && props.onDone(reading.shape)}>
          Take it
        </Button>
        <Button size="xs" variant="ghost" onClick={() => props.onDone(null)}>
          Cancel
        </Button>
      </Flex>
    </Stack>
  );
}

/** The outline with its holes, small. */
function OutlineDrawing({ shape: { outline, holes } }: { shape: Shape }) {
  if (!outline) return null;
  const xs = outline.map((p) => p.x);
  const ys = outline.map((p) => p.y);
  const [x0, x1, y0, y1] = [Math.min(...xs), Math.max(...xs), Math.min(...ys), Math.max(...ys)];
  const pad = (x1 - x0) * 0.03;
  return (
    <Box w="full">
      <svg
        viewBox={`${x0 - pad} ${-y1 - pad} ${x1 - x0 + 2 * pad} ${y1 - y0 + 2 * pad}`}
        role="img"
        aria-label="Outline of the lot"
        style={{ width: "100%", maxHeight: 90 }}
      >
        <path
          d={`M${outline.map((p) => `${p.x} ${-p.y}`).join("L")}Z`}
          fill="none"
          stroke="currentColor"
          vectorEffect="non-scaling-stroke"
        />
        {holes.map((h) => (
          <circle
            key={`${h.xMm} ${h.yMm}`}
            cx={h.xMm}
            cy={-h.yMm}
            r={h.diameterMm / 2}
            fill="none"
            stroke="currentColor"
            vectorEffect="non-scaling-stroke"
          />
        ))}
      </svg>
      <Text fontSize="sm" color="graphite">
        {(x1 - x0).toFixed(1)} × {(y1 - y0).toFixed(1)} mm
      </Text>
    </Box>
  );
}
