"use client";
import { Box, Checkbox, Flex, Stack, Text } from "@chakra-ui/react";
import dynamic from "next/dynamic";
import { useTheme } from "next-themes";
import { type KeyboardEvent, type ReactNode, useMemo, useRef, useState } from "react";
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

/** Degrees that an arrow key turns the knife by, and the share that + and − draw nearer by. */
const TURN = Math.PI / 24;
const NEARER = 0.88;

/** The whole knife as solids: turned, drawn apart, cut open; parts by material. Loaded when it is asked for. */
export function SolidView({ other }: { other: ReactNode }) {
  const materialOf = useMaterialOf();
  const design = useProduct((d) => d);
  const views = useViews();
  const units = useUnits();
  const weighing = useWeighing();
  const sound = weighing?.ok ?? false;
  const [apart, setApart] = useState(0);
  const [cutKind, setCutKind] = useState<CutKind>("none");
  const [cutAtMm, setCutAtMm] = useState({ x: -30, z: 0 });
  const [hidden, setHidden] = useState<ReadonlySet<string>>(new Set());
  const [picked, setPicked] = useState<string | null>(null);
  const controls = useRef<Controls | null>(null);
  const { resolvedTheme } = useTheme();
  const cut: CutOpen | null = cutKind === "none" ? null : { axis: cutKind, atMm: cutAtMm[cutKind] };
  const { parts, working, failure } = useSolidParts(sound ? design : null, cut);
  const placed = useMemo(() => offsets(parts ?? [], apart), [parts, apart]);
  const reach = useMemo(
    () => ({ x: alongOf(views.extent(design)), z: Math.ceil(views.halfWidthMm(design)) }),
    [design, views],
  );
  const weights = new Map(weighing?.ok ? weighing.report.parts.map((p) => [p.id, p.massG]) : []);
  const said = parts?.find((p) => p.id === picked);

  const press = (e: KeyboardEvent<HTMLDivElement>) => {
    if (controls.current && turned(controls.current, e.key)) e.preventDefault();
  };

  return (
    <Flex flex="1" minW="0" minH="0" bg="ground" data-testid="solid-view">
      <Box
        flex="1"
        minW="0"
        position="relative"
        tabIndex={0}
        role="application"
        aria-label="Solid view of the knife. Arrow keys turn it, plus and minus draw nearer and away, Home looks from the start again."
        onKeyDown={press}
        _focusVisible={{ outline: "2px solid", outlineColor: "ink", outlineOffset: "-2px" }}
      >
        {parts && sound && (
          <SolidScene
            materialOf={materialOf}
            parts={parts}
            offsets={placed}
            hidden={hidden}
            picked={picked}
            onPick={setPicked}
            dark={resolvedTheme === "dark"}
            controls={controls}
          />
        )}
        {!sound && <Said>There is nothing to show until the design can be built.</Said>}
        {sound && !parts && !failure && <Said>Building the solids …</Said>}
        {failure && <Said>The solids could not be built: {failure}</Said>}
        <Text position="absolute" top="2" left="3" fontWeight="600" color="graphite" pointerEvents="none">
          Solid {working && parts ? "· building …" : ""}
        </Text>
        <Text
          position="absolute"
          bottom="2"
          left="3"
          fontSize="sm"
          color="graphite"
          pointerEvents="none"
          data-testid="solid-said"
        >
          {said
            ? `${partName(said.key)}: ${materialOf(said.materialId)?.name ?? said.materialId}${
                weights.has(said.id) ? `, ${printMass(weights.get(said.id) ?? 0, units)}` : ""
              }`
            : "Drag to turn, wheel to draw nearer; or arrow keys, + and −, Home."}
        </Text>
      </Box>
      <Stack
        w="212px"
        flexShrink="0"
        borderLeftWidth="1px"
        p="3"
        gap="3"
        overflowY="auto"
        bg="sheet"
        data-testid="solid-tools"
      >
        {other}
        <LabelledSlider label="Exploded view" value={apart} min={0} max={1} step={0.05} onChange={setApart} />
        <ChoiceField
          label="Cut open"
          wide
          value={cutKind}
          choices={[
            { value: "none", name: "Whole" },
            { value: "x", name: "Across" },
            { value: "z", name: "Lengthwise" },
          ]}
          onChange={setCutKind}
        />
        {cutKind !== "none" && (
          <LabelledSlider
            label={`At ${printLength(cutAtMm[cutKind], units)}`}
            value={cutAtMm[cutKind]}
            min={cutKind === "x" ? reach.x[0] : -reach.z}
            max={cutKind === "x" ? reach.x[1] : reach.z}
            step={0.5}
            onChange={(mm) => setCutAtMm((was) => ({ ...was, [cutKind]: mm }))}
          />
        )}
        <PartList parts={parts ?? []} hidden={hidden} onHidden={setHidden} onPick={setPicked} />
      </Stack>
    </Flex>
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
