"use client";
import { Button, Stack, Text } from "@chakra-ui/react";
import { Plus } from "lucide-react";
import { newJoint } from "@/core/design/constructions";
import type { ScalesHandle } from "@/core/design/schema";
import { freeId } from "@/core/fit/openSpot";
import { LengthAt, MaterialAt, ShareAt, TickAt } from "../../fields/bound";
import { FOR_LINERS, FOR_SCALES } from "../../fields/MaterialField";
import { useBench, useDesign } from "../BenchContext";
import { Group } from "./Group";
import { ItemCard } from "./ItemCard";

const NONE: ScalesHandle["joints"] = [];

/** Joints that part the scales into segments, the same on both sides. */
export function JointFields() {
  const { edit, session, setSelected } = useBench();
  const joints = useDesign(({ handle }) => (handle.kind === "scales" ? handle.joints : NONE));
  const add = () => {
    const joint = newJoint(freeId("joint", joints), session.getState().design);
    edit("Add joint", (d) => {
      if (d.handle.kind === "scales") d.handle.joints.push(joint);
    });
    setSelected(joint.id);
  };
  return (
    <Group
      title="Segments"
      aside={
        <Button size="xs" variant="outline" onClick={add} disabled={joints.length >= 8}>
          <Plus /> Add joint
        </Button>
      }
    >
      {joints.length === 0 && (
        <Text color="graphite" fontSize="sm">
          None: each scale is one piece. A joint parts both at the same station.
        </Text>
      )}
      {joints.map((j, i) => (
        <ItemCard
          key={j.id}
          id={j.id}
          title={`Joint ${i + 1}`}
          onRemove={() =>
            edit("Remove joint", (d) => {
              if (d.handle.kind === "scales") d.handle.joints.splice(i, 1);
            })
          }
        >
          <Stack gap="2">
            <LengthAt at={`handle.joints.${i}.xMm`} label="Behind the front" behind />
            <ShareAt at={`handle.joints.${i}.tiltDeg`} label="Leans by" unit="°" />
            <TickAt
              at={`handle.joints.${i}.divider`}
              label="Divider in the joint"
              make={() => ({ material: "brass-260", thicknessMm: 1 })}
            />
            {j.divider && (
              <>
                <LengthAt at={`handle.joints.${i}.divider.thicknessMm`} label="Divider thickness" />
                <MaterialAt
                  at={`handle.joints.${i}.divider.material`}
                  label="Divider of"
                  classes={FOR_LINERS}
                />
              </>
            )}
            <MaterialAt at={`handle.joints.${i}.right`} label="Right, behind it" classes={FOR_SCALES} />
            <MaterialAt at={`handle.joints.${i}.left`} label="Left, behind it" classes={FOR_SCALES} />
          </Stack>
        </ItemCard>
      ))}
    </Group>
  );
}
