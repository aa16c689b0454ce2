"use client";
import { Stack, Text } from "@chakra-ui/react";
import { Plus } from "lucide-react";
import { freeId } from "@/core/figures/fit/openSpot";
import { newFuller } from "@/core/knife/design/bladeStarts";
import type { Fuller } from "@/core/knife/design/schema";
import { FULLER_FROM_WORDS, FULLER_TOOL_WORDS, SIDES_WORDS } from "@/words/blade";
import { AddButton } from "../../../bound/AddButton";
import { ChoiceAt, LengthAt } from "../../../bound/bound";
import { ItemCard } from "../../../bound/ItemCard";
import { ChoiceField } from "../../../fields/ChoiceField";
import { useBench, useDesign } from "../../../session/BenchContext";
import { Group } from "../Group";

/** Grooves along the blade. */
export function FullerFields() {
  const { edit, session, setSelected } = useBench();
  const fullers = useDesign((d) => d.blade.fullers);
  const add = () => {
    const fuller = newFuller(session.getState().design.blade, freeId("fuller", fullers));
    edit({ code: "add", list: "blade.fullers", item: fuller });
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
          onRemove={() => edit({ code: "remove", list: "blade.fullers", at: i })}
        >
          <Stack gap="2">
            <ChoiceAt at={`blade.fullers.${i}.sides`} names={SIDES_WORDS} />
            <LengthAt at={`blade.fullers.${i}.fromMm`} />
            <LengthAt at={`blade.fullers.${i}.toMm`} />
            <ChoiceAt at={`blade.fullers.${i}.from`} names={FULLER_FROM_WORDS} />
            <LengthAt at={`blade.fullers.${i}.downMm`} />
            <LengthAt at={`blade.fullers.${i}.depthMm`} />
            <LengthAt at={`blade.fullers.${i}.radiusMm`} />
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
          edit({
            code: "set",
            path: `blade.fullers.${at}.tool`,
            to: kind === "ball" ? { kind } : { kind, runOutRadiusMm: 50 },
          })
        }
      />
      <LengthAt at={`blade.fullers.${at}.tool.runOutRadiusMm`} />
    </>
  );
}
