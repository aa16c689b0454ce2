"use client";
import { Button, Stack, Text } from "@chakra-ui/react";
import { Plus } from "lucide-react";
import type { Fastener, FastenerKind } from "@/core/design/schema";
import { holesOf } from "@/core/review/openings";
import { FASTENER_WORDS } from "@/words/nodes";
import { LengthField } from "../../fields/LengthField";
import { FOR_FILLS, FOR_PINS, MaterialField } from "../../fields/MaterialField";
import { ShareField } from "../../fields/ShareField";
import { useBench } from "../BenchContext";
import { freeId, openSpot } from "../openSpot";
import { Group } from "./Group";
import { ItemCard } from "./ItemCard";

const KINDS: readonly FastenerKind[] = ["pin", "patterned-pin", "lanyard-tube"];
const STEM: Record<FastenerKind, string> = {
  pin: "pin",
  "patterned-pin": "pattern",
  "lanyard-tube": "thong",
};

function fastenerOf(kind: FastenerKind, id: string, place: { xMm: number; yMm: number }): Fastener {
  if (kind === "pin") return { id, kind, ...place, diameterMm: 6.35, material: "brass-360" };
  if (kind === "lanyard-tube")
    return { id, kind, ...place, diameterMm: 6.35, boreMm: 4.75, material: "brass-260" };
  return {
    id,
    kind,
    ...place,
    diameterMm: 6.35,
    tube: { material: "nickel-silver", share: 0.28 },
    rods: { material: "brass-260", share: 0.38 },
    fill: "epoxy",
  };
}

/** Pins and tubes: add, place, size, material. */
export function PinsStep() {
  const { design, edit, setSelected } = useBench();
  const add = (kind: FastenerKind) => {
    const id = freeId(STEM[kind], [...design.fasteners, ...holesOf(design)]);
    edit(`Add ${FASTENER_WORDS[kind].toLowerCase()}`, (d) => {
      d.fasteners.push(fastenerOf(kind, id, openSpot(design, 6.35)));
    });
    setSelected(id);
  };
  return (
    <>
      <Group title="Add">
        <Stack direction="row" wrap="wrap" gap="2">
          {KINDS.map((kind) => (
            <Button key={kind} size="xs" variant="outline" onClick={() => add(kind)}>
              <Plus /> {FASTENER_WORDS[kind]}
            </Button>
          ))}
        </Stack>
        <Text color="graphite" fontSize="sm">
          Drag pins on the drawing, or type where they stand. A diameter can be a drill's name: #13, F.
        </Text>
      </Group>
      <Group title="Pins and tubes">
        {design.fasteners.length === 0 && (
          <Text color="graphite" fontSize="sm">
            None yet: scales are usually held by two pins or more.
          </Text>
        )}
        {design.fasteners.map((f, i) => (
          <FastenerCard key={f.id} fastener={f} index={i} />
        ))}
      </Group>
      <Text color="graphite" fontSize="sm">
        Peen only on metal: pins through wood, horn, bone or brittle resin are glued, or they split it.
      </Text>
    </>
  );
}

function FastenerCard({ fastener: f, index }: { fastener: Fastener; index: number }) {
  const { edit } = useBench();
  const word = FASTENER_WORDS[f.kind];
  const change = (label: string, part: object) =>
    edit(`${label} ${word.toLowerCase()}`, (d) => {
      Object.assign(d.fasteners[index], part);
    });
  return (
    <ItemCard
      id={f.id}
      title={`${word} ${index + 1}`}
      onRemove={() =>
        edit(`Remove ${word.toLowerCase()}`, (d) => {
          d.fasteners.splice(index, 1);
        })
      }
    >
      <Stack gap="2">
        <LengthField
          label="Diameter"
          mm={f.diameterMm}
          min={f.kind === "pin" ? 0.3 : 1}
          max={40}
          digits={3}
          onChange={(diameterMm) => change("Resize", { diameterMm })}
        />
        {f.kind === "lanyard-tube" && (
          <LengthField
            label="Bore"
            mm={f.boreMm}
            min={0.3}
            max={39}
            digits={3}
            onChange={(boreMm) => change("Change bore of", { boreMm })}
          />
        )}
        <LengthField
          label="Behind the front"
          mm={-f.xMm}
          min={0}
          max={600}
          onChange={(mm) => change("Move", { xMm: -mm })}
        />
        <LengthField
          label="Above the axis"
          mm={f.yMm}
          min={-300}
          max={300}
          onChange={(yMm) => change("Move", { yMm })}
        />
        {f.kind !== "patterned-pin" ? (
          <MaterialField
            label="Material"
            value={f.material}
            classes={FOR_PINS}
            onChange={(material) => change("Change material of", { material })}
          />
        ) : (
          <>
            <MaterialField
              label="Tube"
              value={f.tube.material}
              classes={FOR_PINS}
              onChange={(material) => change("Change tube of", { tube: { ...f.tube, material } })}
            />
            <ShareField
              label="Tube, share of area"
              value={f.tube.share}
              min={0.01}
              max={0.98}
              onChange={(share) => change("Change tube of", { tube: { ...f.tube, share } })}
            />
            <MaterialField
              label="Rods"
              value={f.rods.material}
              classes={FOR_PINS}
              onChange={(material) => change("Change rods of", { rods: { ...f.rods, material } })}
            />
            <ShareField
              label="Rods, share of area"
              value={f.rods.share}
              min={0.01}
              max={0.98}
              onChange={(share) => change("Change rods of", { rods: { ...f.rods, share } })}
            />
            <MaterialField
              label="Fill, the rest"
              value={f.fill}
              classes={FOR_FILLS}
              onChange={(fill) => change("Change fill of", { fill })}
            />
          </>
        )}
      </Stack>
    </ItemCard>
  );
}
