"use client";
import { Button, Stack, Text } from "@chakra-ui/react";
import { Plus } from "lucide-react";
import { withMetalGrip } from "@/core/design/constructions";
import type { StackHandle } from "@/core/design/schema";
import { freeId } from "@/core/fit/openSpot";
import { layoutOf } from "@/core/layout/layout";
import { printLengthPlain } from "@/core/units/print";
import { useUnits } from "@/store/settings";
import { LengthAt, MaterialAt, PlaceAt } from "../../fields/bound";
import { FOR_GUARDS } from "../../fields/MaterialField";
import { useBench, useDesign } from "../BenchContext";
import { AddButton } from "./AddButton";
import { Group } from "./Group";
import { ItemCard } from "./ItemCard";

/** Room that a finger needs beyond its breadth to go in and out, mm. Common practice, no source. */
const FINGER_ROOM_MM = 3;

const NONE: StackHandle["rings"] = [];

/** Whole-metal grips and their finger rings. */
export function RingFields() {
  const units = useUnits();
  const { edit, session, setSelected } = useBench();
  const rings = useDesign(({ handle }) => (handle.kind === "stack" ? handle.rings : NONE));
  const add = () => {
    const id = freeId("ring", rings);
    const last = rings[rings.length - 1];
    const xMm = last ? last.xMm - last.boreMm - last.wallMm : -22;
    const bottom = layoutOf(session.getState().design).outline.cut(xMm)[0] ?? -12;
    const [boreMm, wallMm] = last ? [last.boreMm, last.wallMm] : [20 + FINGER_ROOM_MM, 3];
    edit("Add finger ring", (d) => {
      if (d.handle.kind !== "stack") return;
      const yMm = Math.round((bottom - boreMm / 2 - wallMm / 3) * 2) / 2;
      d.handle.rings.push({
        id,
        xMm,
        yMm,
        boreMm,
        wallMm,
        widthMm: 9,
        material: d.handle.pieces[0].material,
      });
    });
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
        onClick={() =>
          edit("Build the grip up in bronze", (d) => {
            Object.assign(d, withMetalGrip(session.getState().design, "bronze-silicon"));
          })
        }
      >
        One body of bronze over the tang
      </Button>
      {rings.map((r, i) => (
        <ItemCard
          key={r.id}
          id={r.id}
          title={`Ring ${i + 1}`}
          onRemove={() =>
            edit("Remove finger ring", (d) => {
              if (d.handle.kind === "stack") d.handle.rings.splice(i, 1);
            })
          }
        >
          <Stack gap="2">
            <LengthAt
              at={`handle.rings.${i}.boreMm`}
              label="Bore"
              help={`The finger's breadth at its joint and ${printLengthPlain(FINGER_ROOM_MM, units)}.`}
            />
            <LengthAt at={`handle.rings.${i}.wallMm`} label="Wall" />
            <LengthAt at={`handle.rings.${i}.widthMm`} label="Width" />
            <PlaceAt at={`handle.rings.${i}`} />
            <MaterialAt at={`handle.rings.${i}.material`} label="Material" classes={FOR_GUARDS} />
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
