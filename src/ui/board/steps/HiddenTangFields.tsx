"use client";
import { Stack, Text } from "@chakra-ui/react";
import { Plus } from "lucide-react";
import { own } from "@/core/base/own";
import { BAR_END_KINDS, endKindOf } from "@/core/kinds/tangEnds/registry";
import type { HiddenTang } from "@/core/knife/design/schema";
import { HOLE_WORDS, NUT_WORDS } from "@/words/constructions";
import { TANG_END_WORDS } from "@/words/tangEnds";
import { AddButton } from "../../bound/AddButton";
import { FillAt, LengthAt, ShareAt } from "../../bound/bound";
import { ItemCard } from "../../bound/ItemCard";
import { RecordFields } from "../../bound/RecordFields";
import { ChoiceField } from "../../fields/ChoiceField";
import { useBench } from "../../session/BenchContext";
import { BarFields } from "./BarFields";
import { Group } from "./Group";
import { ThreadField, withoutThread } from "./ThreadField";

/** A stick in a hole of the handle: its measures, its end, and the hole's making. */
export function HiddenTangFields({ tang }: { tang: HiddenTang }) {
  return (
    <>
      <BarFields />
      <EndFields tang={tang} />
      <HoleFields tang={tang} />
    </>
  );
}

function EndFields({ tang: { end } }: { tang: HiddenTang }) {
  const { edit } = useBench();
  const called = TANG_END_WORDS[end.kind];
  const sized = withoutThread(endKindOf(end).fields);
  const words = {
    of: (path: string) => ({ label: own(called.fields, path) ?? path, help: own(called.help, path) }),
    choices: { "nut.style": NUT_WORDS },
  };
  return (
    <Group title="End of the tang">
      <ChoiceField
        label="Held by"
        value={end.kind}
        choices={BAR_END_KINDS.map((value) => ({ value, name: TANG_END_WORDS[value].name }))}
        onChange={(kind) => edit({ code: "tang-end", kind })}
      />
      <ThreadField at="tang.end" word={(key) => words.of(key).label} />
      <RecordFields at="tang.end" fields={sized} which="all" words={words} />
      {called.note && (
        <Text color="graphite" fontSize="sm">
          {called.note}
        </Text>
      )}
    </Group>
  );
}

function HoleFields({ tang }: { tang: HiddenTang }) {
  const { edit } = useBench();
  const { hole } = tang;
  return (
    <Group title="Hole">
      <ChoiceField
        label="Made by"
        value={hole.kind}
        choices={(Object.keys(HOLE_WORDS) as (typeof hole.kind)[]).map((value) => ({
          value,
          name: HOLE_WORDS[value],
        }))}
        onChange={(kind) => edit({ code: "hole-made", kind })}
      />
      {(hole.kind === "broached" || hole.kind === "burned") && (
        <>
          <LengthAt at="tang.hole.clearanceMm" />
          <LengthAt at="tang.hole.deeperMm" />
        </>
      )}
      {hole.kind === "milled" && (
        <>
          <LengthAt at="tang.hole.heightMm" />
          <LengthAt at="tang.hole.widthMm" />
          <LengthAt at="tang.hole.cutterMm" help="Its ends stay as round as the cutter." />
          <LengthAt at="tang.hole.depthMm" />
        </>
      )}
      {hole.kind === "drilled" &&
        hole.stages.map((s, i) => (
          <ItemCard
            // biome-ignore lint/suspicious/noArrayIndexKey: a stage is its place in the order of drilling
            key={i}
            id={`stage-${i + 1}`}
            title={`Drilling ${i + 1}`}
            onRemove={
              hole.stages.length > 1
                ? () => edit({ code: "remove", list: "tang.hole.stages", at: i })
                : undefined
            }
          >
            <Stack gap="2">
              <LengthAt at={`tang.hole.stages.${i}.bitMm`} digits={3} />
              <ShareAt at={`tang.hole.stages.${i}.count`} unit="" whole />
              {s.count > 1 && <LengthAt at={`tang.hole.stages.${i}.pitchMm`} />}
              <LengthAt at={`tang.hole.stages.${i}.depthMm`} />
            </Stack>
          </ItemCard>
        ))}
      {hole.kind === "drilled" && (
        <AddButton
          alignSelf="start"
          to="tang.hole.stages"
          onClick={() =>
            edit({ code: "add", list: "tang.hole.stages", item: { ...hole.stages[hole.stages.length - 1] } })
          }
        >
          <Plus /> Another drilling
        </AddButton>
      )}
      <FillAt at="tang.hole.fill" />
      <Text color="graphite" fontSize="sm">
        {hole.kind === "burned"
          ? "Burning in gives off fumes, can split the wood along its grain, and softens a hardened tang: only with an unhardened one, outdoors, water at hand."
          : "Clamp the block to drill or mill it; drill from the front, and back up where the bit comes out."}
      </Text>
    </Group>
  );
}
