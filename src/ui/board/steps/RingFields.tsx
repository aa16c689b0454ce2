"use client";
import { Button, Stack, Text } from "@chakra-ui/react";
import { Plus } from "lucide-react";
import { printLengthPlain } from "@/core/base/units/print";
import { freeId } from "@/core/figures/fit/openSpot";
import { fingerMm, LEAST_ROOM_MM } from "@/core/knife/design/fingerRings";
import { ringsOf } from "@/core/knife/design/handleParts";
import { newRing } from "@/core/knife/layout/newRing";
import { useUnits } from "@/store/settings";
import { AddButton } from "../../bound/AddButton";
import { LengthAt, MaterialAt, PlaceAt } from "../../bound/bound";
import { ItemCard } from "../../bound/ItemCard";
import { FOR_GUARDS } from "../../bound/MaterialField";
import { useBench, useDesign } from "../../session/BenchContext";
import { Group } from "./Group";

/** Whole-metal grips and their finger rings. */
export function RingFields() {
  const units = useUnits();
  const { edit, session, setSelected } = useBench();
  const rings = useDesign((d) => ringsOf(d.handle));
  const finger = useDesign((d) => fingerMm(d.workshop.handMm));
  const add = () => {
    const id = freeId("ring", rings);
    const item = newRing(id, session.getState().design);
    if (!item) return;
    edit({ code: "add", list: "handle.rings", item });
    setSelected(id);
  };
  return (
    <Group
      title="Metal grip and finger rings"
      aside={
        <AddButton onClick={add} to="handle.rings">
          <Plus /> Add ring
        </AddButton>
      }
    >
      <Button
        size="xs"
        variant="outline"
        alignSelf="start"
        onClick={() => edit({ code: "metal-grip", material: "bronze-silicon" })}
      >
        One body of bronze over the tang
      </Button>
      {rings.map((r, i) => (
        <ItemCard
          key={r.id}
          id={r.id}
          title={`Ring ${i + 1}`}
          onRemove={() => edit({ code: "remove", list: "handle.rings", at: i })}
        >
          <Stack gap="2">
            <LengthAt
              at={`handle.rings.${i}.boreMm`}
              help={`A finger of the stated hand is ${printLengthPlain(finger, units)} broad at its joint, and wants ${printLengthPlain(LEAST_ROOM_MM, units)} of room or more.`}
            />
            <LengthAt at={`handle.rings.${i}.wallMm`} />
            <LengthAt at={`handle.rings.${i}.widthMm`} />
            <PlaceAt at={`handle.rings.${i}`} />
            <MaterialAt at={`handle.rings.${i}.material`} classes={FOR_GUARDS} />
          </Stack>
        </ItemCard>
      ))}
      {rings.length > 0 && (
        <Text fontSize="sm" color="warn" role="note">
          Ring and knuckle grips are forbidden or restricted in many places. Ask what the law says where you
          are before you make, sell or carry one. A ring can also trap a finger in a fall.
        </Text>
      )}
    </Group>
  );
}
