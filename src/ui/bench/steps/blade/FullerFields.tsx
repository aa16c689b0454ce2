"use client";
import { Stack, Text } from "@chakra-ui/react";
import { Plus } from "lucide-react";
import { newFuller } from "@/core/design/bladeStarts";
import type { Fuller } from "@/core/design/schema";
import { freeId } from "@/core/fit/openSpot";
import { FULLER_FROM_WORDS, FULLER_TOOL_WORDS, SIDES_WORDS } from "@/words/blade";
import { ChoiceAt, LengthAt } from "../../../fields/bound";
import { ChoiceField } from "../../../fields/ChoiceField";
import { useBench, useDesign } from "../../BenchContext";
import { AddButton } from "../AddButton";
import { Group } from "../Group";
import { ItemCard } from "../ItemCard";

/** Grooves along the blade. */
export function FullerFields() {
  const { edit, session, setSelected } = useBench();
  const fullers = useDesign((d) => d.blade.fullers);
  const add = () => {
    const fuller = newFuller(session.getState().design.blade, freeId("fuller", fullers));
    edit("Add fuller", (d) => void d.blade.fullers.push(fuller));
    setSelected(fuller.id);
  };
  return (
    <Group
      title="Fullers"
      aside={
        <AddButton onClick={add} to="blade.fullers">
          <Plus /> Add fuller
        </AddButton>
      }
    >
      {fullers.length === 0 && (
        <Text color="graphite" fontSize="sm">
          None. A groove along one side or both takes weight off the blade and stays stiff.
        </Text>
      )}
      {fullers.map((f, i) => (
        <ItemCard
          key={f.id}
          id={f.id}
          title={`Fuller ${i + 1}`}
          onRemove={() => edit("Remove fuller", (d) => void d.blade.fullers.splice(i, 1))}
        >
          <Stack gap="2">
            <ChoiceAt at={`blade.fullers.${i}.sides`} label="On" names={SIDES_WORDS} />
            <LengthAt at={`blade.fullers.${i}.fromMm`} label="From, ahead of the front" />
            <LengthAt at={`blade.fullers.${i}.toMm`} label="To, ahead of the front" />
            <ChoiceAt at={`blade.fullers.${i}.from`} label="Its middle" names={FULLER_FROM_WORDS} />
            <LengthAt at={`blade.fullers.${i}.downMm`} label="Down by" />
            <LengthAt at={`blade.fullers.${i}.depthMm`} label="Depth" />
            <LengthAt at={`blade.fullers.${i}.radiusMm`} label="Tool's radius" />
            <ToolFields fuller={f} at={i} />
          </Stack>
        </ItemCard>
      ))}
    </Group>
  );
}

function ToolFields({ fuller, at }: { fuller: Fuller; at: number }) {
  const { edit } = useBench();
  const kinds = Object.keys(FULLER_TOOL_WORDS) as Fuller["tool"]["kind"][];
  return (
    <>
      <ChoiceField
        label="Cut by"
        value={fuller.tool.kind}
        choices={kinds.map((value) => ({ value, name: FULLER_TOOL_WORDS[value] }))}
        onChange={(kind) =>
          edit("Change the fuller's tool", (d) => {
            const f = d.blade.fullers[at];
            if (f) f.tool = kind === "ball" ? { kind } : { kind, runOutRadiusMm: 50 };
          })
        }
      />
      <LengthAt at={`blade.fullers.${at}.tool.runOutRadiusMm`} label="Runs out on a radius of" />
    </>
  );
}
