"use client";
import { Text } from "@chakra-ui/react";
import type { HiddenTang } from "@/core/design/schema";
import { LengthField } from "../../fields/LengthField";
import { FOR_FILLS, MaterialField } from "../../fields/MaterialField";
import { useBench } from "../BenchContext";
import { Group } from "./Group";

type NumberKey = { [K in keyof HiddenTang]: HiddenTang[K] extends number ? K : never }[keyof HiddenTang];

/** A stick tang and the hole that it is glued into. */
export function HiddenTangFields({ tang }: { tang: HiddenTang }) {
  const { edit } = useBench();
  const length = (key: NumberKey, label: string, min: number, max: number, help?: string) => (
    <LengthField
      label={label}
      mm={tang[key]}
      min={min}
      max={max}
      help={help}
      onChange={(mm) =>
        edit(`Change tang ${label.toLowerCase()}`, (d) => {
          if (d.tang.kind === "hidden") d.tang[key] = mm;
        })
      }
    />
  );
  const room = (key: "clearanceMm" | "deeperMm", label: string, max: number) => (
    <LengthField
      label={label}
      mm={tang.hole[key]}
      min={0}
      max={max}
      onChange={(mm) =>
        edit(`Change hole ${label.toLowerCase()}`, (d) => {
          if (d.tang.kind === "hidden") d.tang.hole[key] = mm;
        })
      }
    />
  );
  return (
    <>
      <Group title="Tang">
        {length(
          "lengthMm",
          "Length",
          5,
          600,
          "From the datum. At least half of the handle; two thirds is better. Longer than the handle goes through, flush with its end.",
        )}
        {length("yMm", "Middle above the axis", -300, 300)}
        {length("frontHeightMm", "Height at the front", 1, 100)}
        {length("endHeightMm", "Height at the end", 1, 100)}
        {length("frontThicknessMm", "Thickness at the front", 0.3, 25)}
        {length("endThicknessMm", "Thickness at the end", 0.3, 25)}
      </Group>
      <Group title="Hole">
        {room("clearanceMm", "Room all round", 10)}
        {room("deeperMm", "Deeper than the tang", 50)}
        <MaterialField
          label="Filled with"
          value={tang.hole.fill ?? ""}
          classes={FOR_FILLS}
          none="Nothing: left empty"
          onChange={(id) =>
            edit("Change hole fill", (d) => {
              if (d.tang.kind === "hidden") d.tang.hole.fill = id || null;
            })
          }
        />
      </Group>
      <Text color="graphite" fontSize="sm">
        Round the inside corners at the shoulder by 1 mm or more. Clamp the block to drill it; burning a tang
        in gives off fumes and can split the wood.
      </Text>
    </>
  );
}
