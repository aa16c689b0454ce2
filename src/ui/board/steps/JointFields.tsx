"use client";
import { HStack, IconButton, Stack, Text } from "@chakra-ui/react";
import { Plus, X } from "lucide-react";
import { freeId } from "@/core/figures/fit/openSpot";
import { jointsOf } from "@/core/knife/design/handleParts";
import { newJoint } from "@/core/knife/starts/constructions";
import { AddButton } from "../../bound/AddButton";
import { LengthAt, MaterialAt, ShareAt } from "../../bound/bound";
import { ItemCard } from "../../bound/ItemCard";
import { FOR_LINERS, FOR_SCALES } from "../../bound/MaterialField";
import { useBench, useDesign } from "../../session/BenchContext";
import { Group } from "./Group";

/** Sheets in a joint, from the front to the rear. */
function Dividers({ at, count }: { at: `handle.joints.${number}.dividers`; count: number }) {
  const { edit } = useBench();
  return (
    <>
      {Array.from({ length: count }, (_, k) => (
        // biome-ignore lint/suspicious/noArrayIndexKey: sheets have no identity but their place
        <HStack key={k} gap="2" align="end">
          <Stack gap="2" flex="1" minW="0">
            <LengthAt at={`${at}.${k}.thicknessMm`} label={`Divider ${k + 1}, thickness`} />
            <MaterialAt at={`${at}.${k}.material`} label={`Divider ${k + 1} of`} classes={FOR_LINERS} />
          </Stack>
          <IconButton
            size="xs"
            variant="ghost"
            aria-label={`Remove divider ${k + 1}`}
            onClick={() => edit({ code: "remove", list: at, at: k })}
          >
            <X />
          </IconButton>
        </HStack>
      ))}
      <AddButton
        alignSelf="start"
        to={at}
        onClick={() => edit({ code: "add", list: at, item: { material: "brass-260", thicknessMm: 1 } })}
      >
        <Plus /> Add divider
      </AddButton>
    </>
  );
}

/** Joints that part the scales into segments, the same on both sides. */
export function JointFields() {
  const { edit, session, setSelected } = useBench();
  const joints = useDesign((d) => jointsOf(d.handle));
  const add = () => {
    const joint = newJoint(freeId("joint", joints), session.getState().design);
    edit({ code: "add", list: "handle.joints", item: joint });
    setSelected(joint.id);
  };
  return (
    <Group
      title="Segments"
      aside={
        <AddButton onClick={add} to="handle.joints">
          <Plus /> Add joint
        </AddButton>
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
          onRemove={() => edit({ code: "remove", list: "handle.joints", at: i })}
        >
          <Stack gap="2">
            <LengthAt at={`handle.joints.${i}.xMm`} behind />
            <ShareAt at={`handle.joints.${i}.tiltDeg`} unit="°" />
            <Dividers at={`handle.joints.${i}.dividers`} count={j.dividers.length} />
            <MaterialAt at={`handle.joints.${i}.right`} classes={FOR_SCALES} />
            <MaterialAt at={`handle.joints.${i}.left`} classes={FOR_SCALES} />
          </Stack>
        </ItemCard>
      ))}
    </Group>
  );
}
