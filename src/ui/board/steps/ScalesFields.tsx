"use client";
import { Button, Stack, Text } from "@chakra-ui/react";
import { Plus } from "lucide-react";
import type { ScalesHandle } from "@/core/knife/design/schema";
import { LengthAt, MassAt, MaterialAt, ShareAt, TickAt } from "../../bound/bound";
import { ItemCard } from "../../bound/ItemCard";
import { FOR_LINERS, FOR_SCALES } from "../../bound/MaterialField";
import { useBench, useDesign } from "../../session/BenchContext";
import { BolsterFields } from "./BolsterFields";
import { FaceFields } from "./FaceFields";
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
              <FaceFields
                at={`handle.${side}.face`}
                label={`Face of the ${side} scale`}
                parts={(id) => id.startsWith("scale:") && id.endsWith(`:${side}`)}
                grown
              />
              <WeighedFields side={side} />
            </Stack>
          </ItemCard>
        ))}
        <Button size="xs" variant="outline" alignSelf="start" onClick={() => edit({ code: "match-scales" })}>
          Make the left like the right
        </Button>
      </Group>
      <Group title="Front of the scales">
        <BevelFields end="front" />
      </Group>
      <RearEndFields />
      <LinerFields />
      <BolsterFields />
      <JointFields />
      <LengthwiseFields />
      <HalfFields />
    </>
  );
}

/** Nothing was read yet; a scale that shows tenths. */
const notRead = (): NonNullable<ScalesHandle["right"]["weighed"]> => ({ massG: null, offG: 0.1 });

/** What a scale weighs by itself: nothing until it is read. */
function WeighedFields({ side }: { side: "right" | "left" }) {
  const weighed = useScales((h) => h[side].weighed);
  const grown = useScales((h) => h[side].face?.kind === "natural") ?? false;
  const at = `handle.${side}.weighed` as const;
  return (
    <>
      <TickAt at={at} label={`The ${side} scale is weighed by itself`} make={notRead} />
      {weighed && (
        <>
          <MassAt at={`${at}.massG`} open />
          <MassAt at={`${at}.offG`} />
          <Text color="graphite" fontSize="sm">
            {weighed.massG === null
              ? "Not read yet: until then it weighs what its drawing says."
              : "The reading stands for this scale, whatever is changed of its drawing: read it again after a change."}
          </Text>
        </>
      )}
      {grown && (
        <Text color="graphite" fontSize="sm">
          Its thickness by points, for each side: Section, "Sides differ". Drill it with its flat side down,
          and dress pins to its face.
        </Text>
      )}
    </>
  );
}

/** A plane off one end of both scales. */
function BevelFields({ end }: { end: "front" | "rear" }) {
  const at = `handle.${end}Bevel` as const;
  const beveled = useScales((h) => h[`${end}Bevel`] !== null) ?? false;
  return (
    <>
      <TickAt at={at} make={() => ({ lengthMm: 4, angleDeg: 45 })} />
      {beveled && (
        <>
          <LengthAt at={`${at}.lengthMm`} />
          <ShareAt
            at={`${at}.angleDeg`}
            unit="°"
            help={`Finish the ${end} faces before glue-up: they cannot be reached after.`}
          />
        </>
      )}
    </>
  );
}

/** A straight edge ahead of a bare butt that a hole for a cord has room in. */
const newRearEnd = (): NonNullable<ScalesHandle["rearEnd"]> => ({
  bareMm: 18,
  tiltDeg: 0,
  wheelRadiusMm: null,
});

/** Where scales end: at the butt, or ahead of it, straight or hollowed by a wheel. */
function RearEndFields() {
  const rearEnd = useScales((h) => h.rearEnd);
  return (
    <Group title="Rear of the scales">
      <TickAt at="handle.rearEnd" make={newRearEnd} />
      {rearEnd && (
        <>
          <LengthAt at="handle.rearEnd.bareMm" />
          <ShareAt
            at="handle.rearEnd.tiltDeg"
            unit="°"
            help="Its top toward the front; below zero toward the butt."
          />
          <TickAt at="handle.rearEnd.wheelRadiusMm" make={(): number => 25} />
          {rearEnd.wheelRadiusMm !== null && (
            <LengthAt
              at="handle.rearEnd.wheelRadiusMm"
              label="Wheel radius"
              help="Deepest in the middle of the handle's height; the bare tang is measured there."
            />
          )}
          <Text color="graphite" fontSize="sm">
            A hole for a cord in the bare tang: a lanyard tube on the Pins step, or a hole on the Tang step.
          </Text>
        </>
      )}
      <BevelFields end="rear" />
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
