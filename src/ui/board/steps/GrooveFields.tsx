"use client";
import { Stack, Text } from "@chakra-ui/react";
import { Plus } from "lucide-react";
import { freeId } from "@/core/figures/fit/openSpot";
import { layoutOf } from "@/core/knife/layout/layout";
import { SIDES_WORDS } from "@/words/blade";
import { AddButton } from "../../bound/AddButton";
import { ChoiceAt, LengthAt } from "../../bound/bound";
import { ItemCard } from "../../bound/ItemCard";
import { useBench, useDesign } from "../../session/BenchContext";
import { Group } from "./Group";

/** Round grooves across the faces of the handle. */
export function GrooveFields() {
  const { edit, session, setSelected } = useBench();
  const grooves = useDesign((d) => d.handle.grooves);
  const add = () => {
    const { frontX, buttX } = layoutOf(session.getState().design);
    const last = grooves.reduce((rear, g) => Math.min(rear, g.xMm), frontX);
    const xMm = Math.round(grooves.length === 0 ? (frontX + buttX) / 2 : Math.max(buttX + 6, last - 8));
    const groove = { id: freeId("groove", grooves), xMm, diameterMm: 8, depthMm: 1, sides: "both" as const };
    edit({ code: "add", list: "handle.grooves", item: groove });
    setSelected(groove.id);
  };
  return (
    <Group
      title="Side grooves"
      aside={
        <AddButton onClick={add} to="handle.grooves">
          <Plus /> Add groove
        </AddButton>
      }
    >
      {grooves.length === 0 && (
        <Text color="graphite" fontSize="sm">
          None. A round groove across one face or both keeps the hand from sliding.
        </Text>
      )}
      {grooves.map((g, i) => (
        <ItemCard
          key={g.id}
          id={g.id}
          title={`Groove ${i + 1}`}
          onRemove={() => edit({ code: "remove", list: "handle.grooves", at: i })}
        >
          <Stack gap="2">
            <LengthAt at={`handle.grooves.${i}.xMm`} behind />
            <LengthAt at={`handle.grooves.${i}.diameterMm`} />
            <LengthAt at={`handle.grooves.${i}.depthMm`} />
            <ChoiceAt at={`handle.grooves.${i}.sides`} names={SIDES_WORDS} />
          </Stack>
        </ItemCard>
      ))}
    </Group>
  );
}
