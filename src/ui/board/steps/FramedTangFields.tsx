"use client";
import { Text } from "@chakra-ui/react";
import { FillAt, LengthAt, MaterialAt } from "../../bound/bound";
import { FOR_GUARDS } from "../../bound/MaterialField";
import { BarFields } from "./BarFields";
import { Group } from "./Group";

/** A stick let into a frame that carries the scales. */
export function FramedTangFields() {
  return (
    <>
      <Group title="Frame">
        <MaterialAt at="tang.frame.material" classes={[...FOR_GUARDS, "plastic"]} />
        <LengthAt at="tang.frame.thicknessMm" />
        <Text color="graphite" fontSize="sm">
          It has the handle's outline and holds the stick: thicker than the stick, by the floor left on each
          side.
        </Text>
      </Group>
      <BarFields />
      <Group title="Slot in the frame">
        <LengthAt at="tang.hole.clearanceMm" />
        <LengthAt at="tang.hole.deeperMm" />
        <FillAt at="tang.hole.fill" />
      </Group>
    </>
  );
}
