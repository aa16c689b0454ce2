"use client";
import { Box, Checkbox, Flex, Stack, Text } from "@chakra-ui/react";
import dynamic from "next/dynamic";
import { useTheme } from "next-themes";
import { type KeyboardEvent, type ReactNode, type RefObject, useMemo, useReducer, useRef } from "react";
import { printLength, printMass } from "@/core/base/units/print";
import type { CutOpen, PartMesh } from "@/core/knife/kernel/partMeshes";
import { useUnits } from "@/store/settings";
import { partName } from "@/words/parts";
import type { Extent } from "../drawing/path";
import { ChoiceField } from "../fields/ChoiceField";
import { RangeField } from "../fields/RangeField";
import { useMaterialOf } from "../kit/materials";
import { useProduct, useViews, useWeighing } from "../session/BenchContext";
import { offsets } from "./explode";
import type { Controls } from "./SolidScene";
import { useSolidParts } from "./useSolidParts";

const SolidScene = dynamic(() => import("./SolidScene").then((m) => m.SolidScene), {
  ssr: false,
  loading: () => <Said>Loading the solid view …</Said>,
});

type CutKind = "none" | "x" | "z";

/** How the solids are looked at: how far drawn apart, cut where, which parts are hidden and which is pointed at. */
interface Look {
  readonly apart: number;
  readonly cutKind: CutKind;
  readonly cutAtMm: { readonly x: number; readonly z: number };
  readonly hidden: ReadonlySet<string>;
  readonly picked: string | null;
}
const AT_FIRST: Look = {
  apart: 0,
  cutKind: "none",
  cutAtMm: { x: -30, z: 0 },
  hidden: new Set(),
  picked: null,
};
type ChangeLook = (change: Partial<Look>) => void;

/** Degrees that an arrow key turns the knife by, and the share that + and − draw nearer by. */
const TURN = Math.PI / 24;
const NEARER = 0.88;

/** The whole knife as solids: turned, drawn apart, cut open; parts by material. Loaded when it is asked for. */
export function SolidView({ other }: { other: ReactNode }) {
  const design = useProduct((d) => d);
  const weighing = useWeighing();
  const sound = weighing?.ok ?? false;
  const [look, changeLook] = useReducer(
    (now: Look, change: Partial<Look>): Look => ({ ...now, ...change }),
    AT_FIRST,
  );
  const { cutKind, cutAtMm } = look;
  const cut: CutOpen | null = cutKind === "none" ? null : { axis: cutKind, atMm: cutAtMm[cutKind] };
  const { parts, working, failure } = useSolidParts(sound ? design : null, cut);
  return (
    <Flex
      flex="1"
      minW="0"
      minH="0"
      direction={{ base: "column", md: "row" }}
      bg="ground"
      data-testid="solid-view"
    >
      <Turned>
        {(controls) => (
          <>
            {parts && sound && <Scene parts={parts} look={look} onLook={changeLook} controls={controls} />}
            {!sound && <Said>There is nothing to show until the design can be built.</Said>}
            {sound && !parts && !failure && <Said>Building the solids …</Said>}
            {failure && <Said>The solids could not be built: {failure}</Said>}
            <Text position="absolute" top="2" left="3" fontWeight="600" color="graphite" pointerEvents="none">
              Solid {working && parts ? "· building …" : ""}
            </Text>
            <PickedPart part={parts?.find((p) => p.id === look.picked) ?? null} />
          </>
        )}
      </Turned>
      <SolidTools parts={parts ?? NONE} look={look} onLook={changeLook}>
        {other}
      </SolidTools>
    </Flex>
  );
}

const NONE: readonly PartMesh[] = [];

/** The frame round the scene, which takes the keys that turn it. */
function Turned({ children }: { children: (controls: RefObject<Controls | null>) => ReactNode }) {
  const controls = useRef<Controls | null>(null);
  const press = (e: KeyboardEvent<HTMLDivElement>) => {
    if (controls.current && turned(controls.current, e.key)) e.preventDefault();
  };
  return (
    <Box
      flex={{ base: "0 0 auto", md: "1" }}
      h={{ base: "60vh", lg: "auto" }}
      minW="0"
      position="relative"
      tabIndex={0}
      role="application"
      aria-label="Solid view of the knife. Arrow keys turn it, plus and minus draw nearer and away, Home looks from the start again."
      onKeyDown={press}
      _focusVisible={{ outline: "2px solid", outlineColor: "ink", outlineOffset: "-2px" }}
    >
      {children(controls)}
    </Box>
  );
}

function Scene(props: {
  parts: readonly PartMesh[];
  look: Look;
  onLook: ChangeLook;
  controls: RefObject<Controls | null>;
}) {
  const { parts, look, onLook, controls } = props;
  const materialOf = useMaterialOf();
  const { resolvedTheme } = useTheme();
  const placed = useMemo(() => offsets(parts, look.apart), [parts, look.apart]);
  return (
    <SolidScene
      materialOf={materialOf}
      parts={parts}
      offsets={placed}
      hidden={look.hidden}
      picked={look.picked}
      onPick={(picked) => onLook({ picked })}
      dark={resolvedTheme === "dark"}
      controls={controls}
    />
  );
}

/** What the part that is pointed at is, of what, and what it weighs; how to turn the knife where none is. */
function PickedPart({ part }: { part: PartMesh | null }) {
  const materialOf = useMaterialOf();
  const units = useUnits();
  const weighing = useWeighing();
  const weighed = weighing?.ok ? weighing.report.parts.find((p) => p.id === part?.id) : undefined;
  const material = part && (materialOf(part.materialId)?.name ?? part.materialId);
  return (
    <Text
      position="absolute"
      bottom="2"
      left="3"
      fontSize="sm"
      color="graphite"
      pointerEvents="none"
      data-testid="solid-said"
    >
      {part
        ? `${partName(part.key)}: ${material}${weighed ? `, ${printMass(weighed.massG, units)}` : ""}`
        : "Drag to turn, wheel to draw nearer; or arrow keys, + and −, Home."}
    </Text>
  );
}

/** How it is looked at, and which parts show. */
function SolidTools(props: {
  parts: readonly PartMesh[];
  look: Look;
  onLook: ChangeLook;
  children: ReactNode;
}) {
  const { parts, look, onLook, children } = props;
  const { apart, cutKind, cutAtMm, hidden } = look;
  const design = useProduct((d) => d);
  const views = useViews();
  const units = useUnits();
  const limits = useMemo(
    () => ({ x: alongOf(views.extent(design)), z: acrossOf(views.halfWidthMm(design)) }),
    [design, views],
  );
  return (
    <Stack
      w={{ base: "full", md: "212px" }}
      flexShrink="0"
      borderLeftWidth={{ md: "1px" }}
      p="3"
      gap="3"
      overflowY={{ lg: "auto" }}
      bg="sheet"
      data-testid="solid-tools"
    >
      {children}
      <LabelledSlider
        label="Exploded view"
        value={apart}
        min={0}
        max={1}
        step={0.05}
        onChange={(to) => onLook({ apart: to })}
      />
      <ChoiceField
        label="Cut open"
        wide
        value={cutKind}
        choices={[
          { value: "none", name: "Whole" },
          { value: "x", name: "Across" },
          { value: "z", name: "Lengthwise" },
        ]}
        onChange={(to) => onLook({ cutKind: to })}
      />
      {cutKind !== "none" && (
        <LabelledSlider
          label={`At ${printLength(cutAtMm[cutKind], units)}`}
          value={cutAtMm[cutKind]}
          min={limits[cutKind][0]}
          max={limits[cutKind][1]}
          step={0.5}
          onChange={(mm) => onLook({ cutAtMm: { ...cutAtMm, [cutKind]: mm } })}
        />
      )}
      <PartList
        parts={parts}
        hidden={hidden}
        onHidden={(to) => onLook({ hidden: to })}
        onPick={(picked) => onLook({ picked })}
      />
    </Stack>
  );
}

function Said({ children }: { children: ReactNode }) {
  return (
    <Flex position="absolute" inset="0" align="center" justify="center" color="graphite">
      {children}
    </Flex>
  );
}

function LabelledSlider(props: {
  label: string;
  value: number;
  min: number;
  max: number;
  step: number;
  onChange: (to: number) => void;
}) {
  return (
    <Stack gap="0">
      <Text aria-hidden fontSize="sm">
        {props.label}
      </Text>
      <RangeField {...props} />
    </Stack>
  );
}

/** Each part with a tick that shows it, and its material's tint. */
function PartList(props: {
  parts: readonly PartMesh[];
  hidden: ReadonlySet<string>;
  onHidden: (hidden: ReadonlySet<string>) => void;
  onPick: (id: string | null) => void;
}) {
  const materialOf = useMaterialOf();
  const { parts, hidden, onHidden, onPick } = props;
  const show = (id: string, on: boolean) => {
    const next = new Set(hidden);
    if (on) next.delete(id);
    else next.add(id);
    onHidden(next);
  };
  return (
    <Stack gap="1.5" role="group" aria-label="Parts shown">
      <Text fontWeight="600">Parts shown</Text>
      {parts.map((p) => (
        <Checkbox.Root
          key={p.id}
          size="sm"
          checked={!hidden.has(p.id)}
          onCheckedChange={({ checked }) => show(p.id, checked === true)}
          onMouseEnter={() => onPick(p.id)}
          onMouseLeave={() => onPick(null)}
          onFocus={() => onPick(p.id)}
        >
          <Checkbox.HiddenInput />
          <Checkbox.Control />
          <Box
            w="10px"
            h="10px"
            flexShrink="0"
            borderWidth="1px"
            borderColor="ink"
            style={{ background: materialOf(p.materialId)?.tint }}
          />
          <Checkbox.Label lineHeight="1.2">{partName(p.key)}</Checkbox.Label>
        </Checkbox.Root>
      ))}
    </Stack>
  );
}

/** Turns or draws nearer by a key; false for a key that means nothing here. */
function turned(controls: Controls, key: string): boolean {
  const by: Record<string, [number, number]> = {
    ArrowLeft: [-TURN, 0],
    ArrowRight: [TURN, 0],
    ArrowUp: [0, -TURN],
    ArrowDown: [0, TURN],
  };
  const turn = by[key];
  if (turn) {
    controls.setAzimuthalAngle(controls.getAzimuthalAngle() + turn[0]);
    controls.setPolarAngle(controls.getPolarAngle() + turn[1]);
  } else if (key === "+" || key === "=" || key === "-") {
    const share = key === "-" ? 1 / NEARER : NEARER;
    controls.object.position.sub(controls.target).multiplyScalar(share).add(controls.target);
  } else if (key === "Home") controls.reset();
  else return false;
  controls.update();
  return true;
}

/** How far a cut can be moved lengthwise, mm. */
function alongOf({ xLow, xHigh }: Extent): readonly [number, number] {
  return [Math.floor(xLow) - 20, Math.ceil(xHigh)];
}

/** How far it can be moved across, mm. */
function acrossOf(halfWidthMm: number): readonly [number, number] {
  const half = Math.ceil(halfWidthMm);
  return [-half, half];
}
