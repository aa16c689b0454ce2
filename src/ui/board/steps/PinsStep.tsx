"use client";
import { Stack, Text } from "@chakra-ui/react";
import { Plus } from "lucide-react";
import { memo } from "react";
import { freeId } from "@/core/figures/fit/openSpot";
import { FASTENER_KINDS, type FastenerKind, kindOf } from "@/core/kinds/fasteners/registry";
import { isFull } from "@/core/knife/design/limits";
import { holesOf } from "@/core/knife/design/openings";
import { itemNames } from "@/core/knife/shapes/itemNames";
import { FASTENER_CHOICE_WORDS, FASTENER_WORDS, fastenerFieldWords, itemWords } from "@/words/fasteners";
import { AddButton } from "../../bound/AddButton";
import { PlaceAt } from "../../bound/bound";
import { ItemCard } from "../../bound/ItemCard";
import { RecordFields } from "../../bound/RecordFields";
import { attempt } from "../../kit/notice";
import { useBench, useDesign } from "../../session/BenchContext";
import { Group } from "./Group";
import { ThreadField, withoutThread } from "./ThreadField";

/** Pins, bolts and tubes: add, place, size, material. */
export function PinsStep() {
  const { edit, session, setSelected } = useBench();
  const ids = useDesign((d) => d.fasteners.map((f) => f.id));
  const add = async (kind: FastenerKind) => {
    // What it takes to try places is fetched with the first that is added.
    const { placedFastener } = await import("@/core/figures/review/placeFastener");
    const { design } = session.getState();
    if (isFull(design, "fasteners")) return;
    const id = freeId(kindOf({ kind }).stem, [...design.fasteners, ...holesOf(design)]);
    edit({ code: "add", list: "fasteners", item: placedFastener(design, kind, id), kind });
    setSelected(id);
  };
  return (
    <>
      <Group title="Add">
        <Stack direction="row" wrap="wrap" gap="2">
          {FASTENER_KINDS.map((kind) => (
            <AddButton
              key={kind}
              to="fasteners"
              onClick={() => void attempt("It was not added", () => add(kind))}
            >
              <Plus /> {FASTENER_WORDS[kind]}
            </AddButton>
          ))}
        </Stack>
        <Text color="graphite" fontSize="sm">
          Drag pins on the drawing, or type where they stand. A diameter can be a drill's name: #13, F.
        </Text>
      </Group>
      <Group title="Pins, bolts and tubes">
        {ids.length === 0 && (
          <Text color="graphite" fontSize="sm">
            None yet: scales are usually held by two pins or more.
          </Text>
        )}
        {ids.map((id, i) => (
          <FastenerCard key={id} id={id} index={i} />
        ))}
      </Group>
      <Text color="graphite" fontSize="sm">
        Peen only on metal: pins through wood, horn, bone or brittle resin are glued, or they split it.
      </Text>
    </>
  );
}

const FastenerCard = memo(function FastenerCard({ id, index }: { id: string; index: number }) {
  const { edit } = useBench();
  const kind = useDesign((d) => d.fasteners[index]?.kind);
  const title = useDesign((d) => {
    const name = itemNames(d).get(id);
    return name ? itemWords(name) : "";
  });
  if (!kind) return null;
  const at = `fasteners.${index}` as const;
  const { fields } = kindOf({ kind });
  const words = {
    of: (path: string) => fastenerFieldWords(kind, path),
    choices: FASTENER_CHOICE_WORDS,
  };
  return (
    <ItemCard
      id={id}
      title={title}
      nameAt={at}
      onRemove={() => edit({ code: "remove", list: "fasteners", at: index, kind })}
    >
      <Stack gap="2">
        <ThreadField at={at} word={(key) => words.of(key).label} />
        <RecordFields at={at} fields={withoutThread(fields)} which="sizes" words={words} />
        <PlaceAt at={at} />
        <RecordFields at={at} fields={fields} which="materials" words={words} />
      </Stack>
    </ItemCard>
  );
});
