"use client";
import { Button, Stack, Text } from "@chakra-ui/react";
import { Plus } from "lucide-react";
import { holesOf } from "@/core/design/openings";
import {
  FASTENER_KINDS,
  type Fastener,
  type FastenerKind,
  kindOf,
  newFastener,
} from "@/core/fasteners/registry";
import { freeId, openSpot } from "@/core/fit/openSpot";
import { FASTENER_CHOICE_WORDS, FASTENER_WORDS, fastenerFieldWords } from "@/words/fasteners";
import { PlaceAt } from "../../fields/bound";
import { RecordFields } from "../../fields/RecordFields";
import { useBench } from "../BenchContext";
import { Group } from "./Group";
import { ItemCard } from "./ItemCard";

/** Pins, bolts and tubes: add, place, size, material. */
export function PinsStep() {
  const { design, edit, setSelected } = useBench();
  const add = (kind: FastenerKind) => {
    const id = freeId(kindOf({ kind }).stem, [...design.fasteners, ...holesOf(design)]);
    edit(`Add ${FASTENER_WORDS[kind].toLowerCase()}`, (d) => {
      d.fasteners.push(newFastener(kind, id, openSpot(design, 8), design.blade.spineMm));
    });
    setSelected(id);
  };
  return (
    <>
      <Group title="Add">
        <Stack direction="row" wrap="wrap" gap="2">
          {FASTENER_KINDS.map((kind) => (
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
  const { fields } = kindOf(f);
  const words = {
    words: (path: string) => fastenerFieldWords(f.kind, path),
    choices: FASTENER_CHOICE_WORDS,
  };
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
        <RecordFields at={at} fields={fields} which="sizes" words={words} />
        <PlaceAt at={at} />
        <RecordFields at={at} fields={fields} which="materials" words={words} />
      </Stack>
    </ItemCard>
  );
}
