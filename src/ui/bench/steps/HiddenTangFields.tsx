"use client";
import { Stack, Text } from "@chakra-ui/react";
import { Plus } from "lucide-react";
import { newBlockHole, withEnd } from "@/core/design/constructions";
import type { HiddenTang } from "@/core/design/schema";
import { own } from "@/core/own";
import { BAR_END_KINDS, endKindOf } from "@/core/tangEnds/registry";
import { HOLE_WORDS, NUT_WORDS } from "@/words/constructions";
import { TANG_END_WORDS } from "@/words/tangEnds";
import { FillAt, LengthAt, ShareAt } from "../../fields/bound";
import { ChoiceField } from "../../fields/ChoiceField";
import { RecordFields } from "../../fields/RecordFields";
import { useBench } from "../BenchContext";
import { AddButton } from "./AddButton";
import { BarFields } from "./BarFields";
import { Group } from "./Group";
import { ItemCard } from "./ItemCard";
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
  const { edit, session } = useBench();
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
        onChange={(kind) =>
          edit("Change the tang's end", (d) => {
            Object.assign(d, withEnd(session.getState().design, kind));
          })
        }
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
  const change = (label: string, recipe: (tang: HiddenTang) => void) =>
    edit(label, (d) => {
      if (d.tang.kind === "hidden") recipe(d.tang);
    });
  return (
    <Group title="Hole">
      <ChoiceField
        label="Made by"
        value={hole.kind}
        choices={(Object.keys(HOLE_WORDS) as (typeof hole.kind)[]).map((value) => ({
          value,
          name: HOLE_WORDS[value],
        }))}
        onChange={(kind) =>
          change("Change how the hole is made", (t) => {
            t.hole = newBlockHole(kind, t);
          })
        }
      />
      {(hole.kind === "broached" || hole.kind === "burned") && (
        <>
          <LengthAt at="tang.hole.clearanceMm" label="Clearance all round" />
          <LengthAt at="tang.hole.deeperMm" label="Deeper than the tang" />
        </>
      )}
      {hole.kind === "milled" && (
        <>
          <LengthAt at="tang.hole.heightMm" label="Height" />
          <LengthAt at="tang.hole.widthMm" label="Width" />
          <LengthAt at="tang.hole.cutterMm" label="Cutter" help="Its ends stay as round as the cutter." />
          <LengthAt at="tang.hole.depthMm" label="Depth from the front" />
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
                ? () =>
                    change("Remove drilling", (t) => {
                      if (t.hole.kind === "drilled") t.hole.stages.splice(i, 1);
                    })
                : undefined
            }
          >
            <Stack gap="2">
              <LengthAt at={`tang.hole.stages.${i}.bitMm`} label="Bit" digits={3} />
              <ShareAt at={`tang.hole.stages.${i}.count`} label="Bores in a row" unit="" whole />
              {s.count > 1 && <LengthAt at={`tang.hole.stages.${i}.pitchMm`} label="From bore to bore" />}
              <LengthAt at={`tang.hole.stages.${i}.depthMm`} label="Depth from the front" />
            </Stack>
          </ItemCard>
        ))}
      {hole.kind === "drilled" && (
        <AddButton
          alignSelf="start"
          to="tang.hole.stages"
          onClick={() =>
            change("Add drilling", (t) => {
              if (t.hole.kind === "drilled")
                t.hole.stages.push({ ...t.hole.stages[t.hole.stages.length - 1] });
            })
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
