"use client";
import { Stack, Text } from "@chakra-ui/react";
import { Plus } from "lucide-react";
import { memo, useRef, useState } from "react";
import { freeId } from "@/core/figures/fit/openSpot";
import { FASTENER_KINDS, type FastenerKind, kindOf } from "@/core/kinds/fasteners/registry";
import { isFull } from "@/core/knife/design/limits";
import { holesOf } from "@/core/knife/design/openings";
import { itemNames } from "@/core/knife/shapes/itemNames";
import { FASTENER_CHOICE_WORDS, FASTENER_WORDS, fastenerFieldWords, itemWords } from "@/words/fasteners";
import { createBenchWorker } from "@/workers/services";
import { AddButton } from "../../bound/AddButton";
import { PlaceAt } from "../../bound/bound";
import { ItemCard } from "../../bound/ItemCard";
import { RecordFields } from "../../bound/RecordFields";
import { attempt } from "../../kit/notice";
import { UnderWay } from "../../kit/UnderWay";
import { useBench, useDesign } from "../../session/BenchContext";
import { Group } from "./Group";
import { ThreadField, withoutThread } from "./ThreadField";

/** Pins, bolts and tubes: add, place, size, material. */
export function PinsStep() {
  const { edit, session, setSelected } = useBench();
  const ids = useDesign((d) => d.fasteners.map((f) => f.id));
  const [adding, setAdding] = useState(0);
  /** One after the other: the next one looks for its place beside those before it. */
  const before = useRef<Promise<void>>(Promise.resolve());
  const place = async (kind: FastenerKind) => {
    const { design } = session.getState();
    if (isFull(design, "fasteners")) return;
    const id = freeId(kindOf({ kind }).stem, [...design.fasteners, ...holesOf(design)]);
    const worker = createBenchWorker();
    const answer = await worker.ask((s) => s.placeFastener(design, kind, id));
    worker.dispose();
    if (!answer.ok) throw new Error(answer.message);
    // The knife may have been changed meanwhile.
    const now = session.getState().design;
    if (isFull(now, "fasteners")) return;
    const free = freeId(kindOf({ kind }).stem, [...now.fasteners, ...holesOf(now)]);
    edit({ code: "add", list: "fasteners", item: { ...answer.value, id: free }, kind });
    setSelected(free);
  };
  const add = (kind: FastenerKind) => {
    setAdding((n) => n + 1);
    before.current = before.current
      .then(() => attempt("It was not added", () => place(kind)))
      .finally(() => setAdding((n) => n - 1));
  };
  return (
    <>
      <Group title="Add">
        <Stack direction="row" wrap="wrap" gap="2">
          {FASTENER_KINDS.map((kind) => (
            <AddButton key={kind} to="fasteners" onClick={() => add(kind)}>
              <Plus /> {FASTENER_WORDS[kind]}
            </AddButton>
          ))}
        </Stack>
        <UnderWay on={adding > 0} says="Finding a place for it …" />
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
