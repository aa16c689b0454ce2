"use client";
import { Box, Button, Flex, HStack, Stack, Text } from "@chakra-ui/react";
import { type KeyboardEvent, type PointerEvent, useRef, useState } from "react";
import type { Point } from "@/core/geometry/curve/bezier";
import { ChoiceField } from "../fields/ChoiceField";
import { LengthField } from "../fields/LengthField";
import { color } from "../kit/theme";
import { useTouchDrag } from "../kit/useTouchDrag";
import type { PhotoState, ScaleChoice } from "./usePhoto";

const ARROWS: Readonly<Record<string, readonly [number, number]>> = {
  ArrowLeft: [-1, 0],
  ArrowRight: [1, 0],
  ArrowUp: [0, -1],
  ArrowDown: [0, 1],
};

/** Pixels that the loupe shows round a mark, each way. */
const LOUPE_PX = 45;

type Photo = NonNullable<PhotoState["photo"]>;

/** The photo with marks on it that tell its true size: a sheet's corners, or two points. */
export function PhotoScaleView({ state }: { state: PhotoState }) {
  const { photo, scale } = state;
  const [active, setActive] = useState(0);
  if (!photo || !scale) return null;
  const isPaper = scale.by !== "points";
  const marks = isPaper ? scale.corners : scale.ends;
  const move = (i: number, to: Point) => {
    const at = {
      x: Math.min(photo.width, Math.max(0, to.x)),
      y: Math.min(photo.height, Math.max(0, to.y)),
    };
    const next = marks.map((m, k) => (k === i ? at : m));
    state.setScale(isPaper ? { ...scale, corners: next } : { ...scale, ends: [next[0], next[1]] });
  };
  return (
    <Flex flex="1" minH="0" gap="4" direction={{ base: "column", lg: "row" }}>
      <Marked photo={photo} marks={marks} isPaper={isPaper} onActive={setActive} onMove={move} />
      <Stack
        w={{ base: "full", lg: "300px" }}
        flexShrink="0"
        gap="3"
        overflowY={{ lg: "auto" }}
        role="group"
        aria-label="True size"
      >
        <ScaleFields state={state} scale={scale} />
        <Loupe photo={photo} at={marks[Math.min(active, marks.length - 1)]} />
        <Text color="graphite" fontSize="sm">
          {isPaper
            ? "Drag each mark onto a corner of the sheet, or move it by the arrow keys; about is enough, the sheet's edges are found from there."
            : "Put both marks on points whose distance you know. Without a sheet the camera has to look straight down."}
        </Text>
        <HStack wrap="wrap">
          {isPaper && (
            <Button
              size="sm"
              variant="outline"
              disabled={state.busy !== null}
              onClick={() => void state.findCorners()}
            >
              Find the sheet's edges
            </Button>
          )}
          <Button size="sm" disabled={state.busy !== null} onClick={() => void state.flatten()}>
            That is its size
          </Button>
        </HStack>
      </Stack>
    </Flex>
  );
}

const Image = ({ photo }: { photo: Photo }) => (
  <image href={photo.url} x="0" y="0" width={photo.width} height={photo.height} preserveAspectRatio="none" />
);

/** The whole photo, with the line through the marks and each mark over it. */
function Marked(props: {
  photo: Photo;
  marks: readonly Point[];
  isPaper: boolean;
  onActive: (i: number) => void;
  onMove: (i: number, to: Point) => void;
}) {
  const { photo, marks, isPaper, onActive, onMove } = props;
  const r = Math.max(photo.width, photo.height) / 110;
  return (
    <Box flex={{ lg: "1" }} h={{ base: "56vh", lg: "auto" }} minW="0" minH="0" bg="sheet" borderWidth="1px">
      {/* biome-ignore lint/a11y/useSemanticElements: a drawing has no other way to hold its marks together. */}
      <svg
        viewBox={`0 0 ${photo.width} ${photo.height}`}
        width="100%"
        height="100%"
        role="group"
        aria-label="Photo with marks for its true size"
      >
        <Image photo={photo} />
        <path
          d={`M${marks.map((m) => `${m.x} ${m.y}`).join("L")}${isPaper ? "Z" : ""}`}
          fill="none"
          stroke="#d00"
          strokeWidth={r / 6}
        />
        {marks.map((m, i) => (
          <Mark
            key={isPaper ? `corner-${i + 1}` : `end-${i + 1}`}
            at={m}
            radius={r}
            label={`${isPaper ? "Corner" : "End"} ${i + 1}: arrow keys move it`}
            onActive={() => onActive(i)}
            onMove={(to) => onMove(i, to)}
          />
        ))}
      </svg>
    </Box>
  );
}

/** A mark that is dragged, or moved by the arrow keys: ten pixels with Shift. */
function Mark(props: {
  at: Point;
  radius: number;
  label: string;
  onActive: () => void;
  onMove: (to: Point) => void;
}) {
  const { at, radius: r, label, onActive, onMove } = props;
  const mark = useRef<SVGCircleElement>(null);
  useTouchDrag(mark);
  const placeOf = (e: PointerEvent<SVGCircleElement>): Point | null => {
    const matrix = e.currentTarget.ownerSVGElement?.getScreenCTM()?.inverse();
    if (!matrix) return null;
    const { x, y } = new DOMPoint(e.clientX, e.clientY).matrixTransform(matrix);
    return { x, y };
  };
  const press = (e: KeyboardEvent) => {
    const by = ARROWS[e.key];
    if (!by) return;
    e.preventDefault();
    const step = e.shiftKey ? 10 : 1;
    onMove({ x: at.x + by[0] * step, y: at.y + by[1] * step });
  };
  return (
    <g>
      {/* biome-ignore lint/a11y/useSemanticElements: a mark on a drawing cannot be a button. */}
      <circle
        ref={mark}
        cx={at.x}
        cy={at.y}
        r={r}
        fill="#fff"
        fillOpacity="0.25"
        stroke="#d00"
        strokeWidth={r / 4}
        tabIndex={0}
        role="button"
        aria-label={label}
        style={{ cursor: "move" }}
        onFocus={onActive}
        onKeyDown={press}
        onPointerDown={(e) => {
          e.currentTarget.setPointerCapture(e.pointerId);
          onActive();
        }}
        onPointerMove={(e) => {
          const to = e.currentTarget.hasPointerCapture(e.pointerId) ? placeOf(e) : null;
          if (to) onMove(to);
        }}
      />
      <path
        d={`M${at.x - r / 2} ${at.y}h${r}M${at.x} ${at.y - r / 2}v${r}`}
        stroke="#d00"
        strokeWidth={r / 10}
        pointerEvents="none"
      />
    </g>
  );
}

/** The photo round a place, enlarged. */
function Loupe({ photo, at }: { photo: Photo; at: Point }) {
  const across = 2 * LOUPE_PX;
  return (
    <Box borderWidth="1px" bg="sheet" w="180px" h="180px">
      <svg
        viewBox={`${at.x - LOUPE_PX} ${at.y - LOUPE_PX} ${across} ${across}`}
        width="178"
        height="178"
        role="img"
        aria-label="The mark enlarged"
      >
        <Image photo={photo} />
        <path
          d={`M${at.x - LOUPE_PX} ${at.y}h${across}M${at.x} ${at.y - LOUPE_PX}v${across}`}
          stroke={color("fault")}
          strokeWidth="0.5"
        />
      </svg>
    </Box>
  );
}

function ScaleFields({ state, scale }: { state: PhotoState; scale: ScaleChoice }) {
  return (
    <>
      <ChoiceField
        label="True size by"
        wide
        value={scale.by}
        choices={[
          { value: "a4", name: "An A4 sheet's corners" },
          { value: "letter", name: "A Letter sheet's corners" },
          { value: "own", name: "Another sheet's corners" },
          { value: "points", name: "Two points and their distance" },
        ]}
        onChange={(by) => state.setScale({ ...scale, by })}
      />
      {scale.by === "points" && (
        <LengthField
          label="Their distance"
          mm={scale.mm}
          min={1}
          max={3000}
          onChange={(mm) => state.setScale({ ...scale, mm })}
        />
      )}
      {scale.by === "own" && (
        <>
          <LengthField
            label="Its longer side"
            mm={scale.ownMm.longMm}
            min={20}
            max={3000}
            onChange={(longMm) => state.setScale({ ...scale, ownMm: { ...scale.ownMm, longMm } })}
          />
          <LengthField
            label="Its shorter side"
            mm={scale.ownMm.shortMm}
            min={20}
            max={3000}
            onChange={(shortMm) => state.setScale({ ...scale, ownMm: { ...scale.ownMm, shortMm } })}
          />
        </>
      )}
    </>
  );
}
