"use client";
import { Button, Checkbox, Stack, Text } from "@chakra-ui/react";
import { Plus } from "lucide-react";
import type { ScalesHandle } from "@/core/knife/design/schema";
import { LengthAt, MaterialAt, ShareAt } from "../../bound/bound";
import { ItemCard } from "../../bound/ItemCard";
import { FOR_LINERS, FOR_SCALES } from "../../bound/MaterialField";
import { useBench, useDesign } from "../../session/BenchContext";
import { BolsterFields } from "./BolsterFields";
import { Group } from "./Group";
import { HalfFields } from "./HalfFields";
import { JointFields } from "./JointFields";
import { LengthwiseFields } from "./LengthwiseFields";

/** What is selected of a handle of scales; null if it is one no more. */
function useScales<T>(select: (handle: ScalesHandle) => T): T | null {
  return useDesign((d) => (d.handle.kind === "scales" ? select(d.handle) : null));
}

/** Scales, their front bevel, and liners. */
export function ScalesFields() {
  const { edit } = useBench();
  return (
    <>
      <Group title="Scales">
        {(["right", "left"] as const).map((side) => (
          <ItemCard key={side} id={`scale-${side}`} title={side === "right" ? "Right scale" : "Left scale"}>
            <Stack gap="2">
              <MaterialAt at={`handle.${side}.material`} classes={FOR_SCALES} />
              <LengthAt at={`handle.${side}.thicknessMm`} />
            </Stack>
          </ItemCard>
        ))}
        <Button size="xs" variant="outline" alignSelf="start" onClick={() => edit({ code: "match-scales" })}>
          Make the left like the right
        </Button>
      </Group>
      <BevelFields />
      <LinerFields />
      <BolsterFields />
      <JointFields />
      <LengthwiseFields />
      <HalfFields />
    </>
  );
}

function BevelFields() {
  const { edit } = useBench();
  const beveled = useScales((h) => h.frontBevel !== null) ?? false;
  return (
    <Group title="Front of the scales">
      <Checkbox.Root
        size="sm"
        checked={beveled}
        onCheckedChange={({ checked }) =>
          edit(
            checked
              ? { code: "put", path: "handle.frontBevel", item: { lengthMm: 4, angleDeg: 45 } }
              : { code: "clear", path: "handle.frontBevel" },
          )
        }
      >
        <Checkbox.HiddenInput />
        <Checkbox.Control />
        <Checkbox.Label>Front bevel</Checkbox.Label>
      </Checkbox.Root>
      {beveled && (
        <>
          <LengthAt at="handle.frontBevel.lengthMm" />
          <ShareAt
            at="handle.frontBevel.angleDeg"
            unit="°"
            help="Finish the front faces before glue-up: they cannot be reached after."
          />
        </>
      )}
    </Group>
  );
}

function LinerFields() {
  const { edit } = useBench();
  const count = useScales((h) => h.liners.length) ?? 0;
  return (
    <Group
      title="Liners, both sides"
      aside={
        <Button
          size="xs"
          variant="outline"
          disabled={count >= 3}
          onClick={() =>
            edit({ code: "add", list: "handle.liners", item: { material: "g10", thicknessMm: 0.8 } })
          }
        >
          <Plus /> Add liner
        </Button>
      }
    >
      {count === 0 && (
        <Text color="graphite" fontSize="sm">
          None. Up to three sheets can lie between tang and scale.
        </Text>
      )}
      {Array.from({ length: count }, (_, i) => (
        <ItemCard
          // biome-ignore lint/suspicious/noArrayIndexKey: a liner is its place in the stack
          key={i}
          id={`liner-${i + 1}`}
          title={`Liner ${i + 1}${i === 0 ? ", on the tang" : ""}`}
          onRemove={() => edit({ code: "remove", list: "handle.liners", at: i })}
        >
          <Stack gap="2">
            <MaterialAt at={`handle.liners.${i}.material`} classes={FOR_LINERS} />
            <LengthAt at={`handle.liners.${i}.thicknessMm`} />
          </Stack>
        </ItemCard>
      ))}
    </Group>
  );
}
