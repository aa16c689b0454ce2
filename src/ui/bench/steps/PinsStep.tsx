"use client";
import { Button, Stack, Text } from "@chakra-ui/react";
import { Plus } from "lucide-react";
import { newFastener } from "@/core/design/fasteners";
import { holesOf } from "@/core/design/openings";
import type { Fastener, FastenerKind } from "@/core/design/schema";
import { freeId, openSpot } from "@/core/fit/openSpot";
import { RIVET_WORDS } from "@/words/constructions";
import { FASTENER_WORDS } from "@/words/nodes";
import { ChoiceAt, FillAt, LengthAt, MaterialAt, PlaceAt, ShareAt } from "../../fields/bound";
import { FOR_FILLS, FOR_PINS } from "../../fields/MaterialField";
import { useBench } from "../BenchContext";
import { Group } from "./Group";
import { ItemCard } from "./ItemCard";

const STEM: Record<FastenerKind, string> = {
  pin: "pin",
  "patterned-pin": "pattern",
  "lanyard-tube": "thong",
  "blind-pin": "blind",
  rivet: "rivet",
  "sleeve-bolt": "bolt",
  "cap-screw": "screw",
  "nutted-rod": "rod",
};

/** Pins, bolts and tubes: add, place, size, material. */
export function PinsStep() {
  const { design, edit, setSelected } = useBench();
  const add = (kind: FastenerKind) => {
    const id = freeId(STEM[kind], [...design.fasteners, ...holesOf(design)]);
    edit(`Add ${FASTENER_WORDS[kind].toLowerCase()}`, (d) => {
      d.fasteners.push(newFastener(kind, id, openSpot(design, 8), design.blade.spineMm));
    });
    setSelected(id);
  };
  return (
    <>
      <Group title="Add">
        <Stack direction="row" wrap="wrap" gap="2">
          {(Object.keys(STEM) as FastenerKind[]).map((kind) => (
            <Button
              key={kind}
              size="xs"
              variant="outline"
              disabled={design.fasteners.length >= 40}
              onClick={() => add(kind)}
            >
              <Plus /> {FASTENER_WORDS[kind]}
            </Button>
          ))}
        </Stack>
        <Text color="graphite" fontSize="sm">
          Drag pins on the drawing, or type where they stand. A diameter can be a drill's name: #13, F.
        </Text>
      </Group>
      <Group title="Pins, bolts and tubes">
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
  const at = `fasteners.${index}`;
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
        <LengthAt at={`${at}.diameterMm`} label="Diameter" min={0.3} max={40} digits={3} />
        <Measures fastener={f} at={at} />
        <PlaceAt at={at} />
        {f.kind === "patterned-pin" ? (
          <>
            <MaterialAt at={`${at}.tube.material`} label="Tube" classes={FOR_PINS} />
            <ShareAt at={`${at}.tube.share`} label="Tube, share of area" min={0.01} max={0.98} />
            <MaterialAt at={`${at}.rods.material`} label="Rods" classes={FOR_PINS} />
            <ShareAt at={`${at}.rods.share`} label="Rods, share of area" min={0.01} max={0.98} />
            <MaterialAt at={`${at}.fill`} label="Fill, the rest" classes={FOR_FILLS} />
          </>
        ) : (
          <MaterialAt at={`${at}.material`} label="Material" classes={FOR_PINS} />
        )}
        {f.kind === "cap-screw" && (
          <MaterialAt at={`${at}.insertMaterial`} label="Insert of" classes={FOR_PINS} />
        )}
        {"plug" in f && <FillAt at={`${at}.plug`} label="Over the heads" none="Left open" />}
      </Stack>
    </ItemCard>
  );
}

/** What a kind of fastener is measured by, beyond its diameter. */
function Measures({ fastener: f, at }: { fastener: Fastener; at: string }) {
  const seat = (
    <LengthAt
      at={`${at}.seatMm`}
      label="Seat from the middle"
      min={0.3}
      max={100}
      help="What stands over the surface is dressed flush with it."
    />
  );
  switch (f.kind) {
    case "lanyard-tube":
      return <LengthAt at={`${at}.boreMm`} label="Bore" min={0.3} max={39} digits={3} />;
    case "blind-pin":
      return <LengthAt at={`${at}.lengthMm`} label="Length" min={0.5} max={200} />;
    case "rivet":
      return (
        <>
          <ChoiceAt at={`${at}.style`} label="Heads" names={RIVET_WORDS} />
          <LengthAt at={`${at}.headMm`} label="Head across" min={0.5} max={60} />
          <LengthAt at={`${at}.headHeightMm`} label="Head height" min={0.1} max={20} />
          <LengthAt at={`${at}.letInMm`} label="Let in by" min={0} max={20} />
        </>
      );
    case "sleeve-bolt":
      return (
        <>
          {seat}
          <LengthAt at={`${at}.headMm`} label="Head across" min={2} max={60} />
          <LengthAt at={`${at}.headThicknessMm`} label="Head thickness" min={0.2} max={20} />
          <LengthAt at={`${at}.screwMm`} label="Screw diameter" min={0.5} max={30} />
          <LengthAt at={`${at}.screwLengthMm`} label="Screw length" min={0.5} max={100} />
        </>
      );
    case "cap-screw":
      return (
        <>
          {seat}
          <LengthAt at={`${at}.headMm`} label="Head across" min={2} max={60} />
          <LengthAt at={`${at}.headLengthMm`} label="Head length" min={0.5} max={40} />
          <LengthAt at={`${at}.socketMm`} label="Socket across flats" min={0.5} max={30} />
          <LengthAt at={`${at}.screwLengthMm`} label="Screw length under the head" min={1} max={100} />
          <LengthAt at={`${at}.counterboreMm`} label="Counterbore" min={2} max={80} />
          <LengthAt at={`${at}.insertMm`} label="Insert diameter" min={1} max={40} />
          <LengthAt
            at={`${at}.insertLengthMm`}
            label="Insert length"
            min={0.5}
            max={100}
            help="A little longer than the tang is thick, so that the scales pull down on it."
          />
        </>
      );
    case "nutted-rod":
      return (
        <>
          {seat}
          <LengthAt at={`${at}.nutAcrossMm`} label="Nut across flats" min={2} max={60} />
          <LengthAt at={`${at}.nutLengthMm`} label="Nut length" min={0.5} max={40} />
          <LengthAt at={`${at}.counterboreMm`} label="Counterbore" min={2} max={80} />
        </>
      );
    default:
      return null;
  }
}
