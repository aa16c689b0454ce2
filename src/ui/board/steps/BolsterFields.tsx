"use client";
import { Stack, Text } from "@chakra-ui/react";
import { newBolster } from "@/core/knife/design/newParts";
import { LengthAt, MaterialAt, ShareAt, TickAt } from "../../bound/bound";
import { ItemCard } from "../../bound/ItemCard";
import { FOR_GUARDS } from "../../bound/MaterialField";
import { useDesign } from "../../session/BenchContext";
import { FaceFields } from "./FaceFields";
import { Group } from "./Group";

/** Metal blocks at the ends of the scales. */
export function BolsterFields() {
  const has = useDesign(({ handle }) => ({
    front: handle.kind === "scales" && handle.bolsters.front !== null,
    rear: handle.kind === "scales" && handle.bolsters.rear !== null,
  }));
  return (
    <Group title="Bolsters">
      {(["front", "rear"] as const).map((end) => (
        <Stack key={end} gap="2">
          <TickAt
            at={`handle.bolsters.${end}`}
            label={end === "front" ? "Front bolsters" : "Rear bolsters"}
            make={() => newBolster("nickel-silver")}
          />
          {has[end] && (
            <ItemCard id={`bolster-${end}`} title={end === "front" ? "Front bolsters" : "Rear bolsters"}>
              <Stack gap="2">
                <LengthAt at={`handle.bolsters.${end}.lengthMm`} />
                <ShareAt
                  at={`handle.bolsters.${end}.tiltDeg`}
                  unit="°"
                  help="Its top toward the front; below zero toward the butt."
                />
                <ShareAt
                  at={`handle.bolsters.${end}.dovetailDeg`}
                  unit="°"
                  help="How far the scale tucks under."
                />
                <MaterialAt at={`handle.bolsters.${end}.right`} classes={FOR_GUARDS} />
                <MaterialAt at={`handle.bolsters.${end}.left`} classes={FOR_GUARDS} />
                <FaceFields
                  at={`handle.bolsters.${end}.face`}
                  label={`Face of the ${end} bolsters`}
                  parts={(id) => id.startsWith(`bolster:${end}`)}
                />
              </Stack>
            </ItemCard>
          )}
        </Stack>
      ))}
      {(has.front || has.rear) && (
        <Text color="graphite" fontSize="sm">
          Pin each pair with two pins of its own metal (Pins step); fit and finish their joints before the
          scales are glued.
        </Text>
      )}
    </Group>
  );
}
