"use client";
import { Button, Flex, IconButton, Stack, Text } from "@chakra-ui/react";
import { Plus, Trash2 } from "lucide-react";
import type { FixedPath } from "@/core/edit/fixed/edits";
import { freeId } from "@/core/figures/fit/openSpot";
import { round } from "@/core/knife/design/create";
import { small } from "@/words/grammar";
import { LengthAt } from "../../../bound/bound";
import { useBench } from "../../../session/BenchContext";

interface Along {
  readonly id: string;
  readonly xMm: number;
}

interface PointListProps<P extends Along> {
  /** Path of the list in the design. */
  readonly at: "blade.taper" | `blade.${"grind" | "leftGrind"}.along`;
  readonly points: readonly P[];
  readonly most: number;
  readonly valueKey: "thicknessMm" | "heightMm";
  readonly valueLabel: string;
  readonly addLabel: string;
  readonly make: (id: string) => P;
  /** What one of them is called. */
  readonly what: string;
}

/** Values at stations along the blade: each its station and its value, added and removed. */
export function PointList<P extends Along>(props: PointListProps<P>) {
  const { edit } = useBench();
  const { at, points, what } = props;
  return (
    <Stack gap="2">
      {points.map((p, i) => (
        <Flex key={p.id} gap="2" align="end" role="group" aria-label={`${what} ${i + 1}`}>
          <Stack flex="1" gap="1">
            <LengthAt at={`${at}.${i}.xMm`} label={`${what} ${i + 1}: ahead of the front`} />
            <LengthAt
              at={`${at}.${i}.${props.valueKey}` as FixedPath<number>}
              label={`${what} ${i + 1}: ${props.valueLabel}`}
            />
          </Stack>
          <IconButton
            size="xs"
            variant="ghost"
            aria-label={`Remove ${small(what)} ${i + 1}`}
            onClick={() => edit({ code: "remove", list: at, at: i })}
          >
            <Trash2 />
          </IconButton>
        </Flex>
      ))}
      <Button
        size="xs"
        variant="outline"
        alignSelf="start"
        disabled={points.length >= props.most}
        onClick={() => edit({ code: "add", list: at, item: props.make(freeId("at", points)) })}
      >
        <Plus /> {props.addLabel}
      </Button>
    </Stack>
  );
}

type Height = Along & { readonly heightMm: number };

/** Heights of the ground face along the blade. */
export function HeightsAlong({
  at,
  points,
}: {
  at: "blade.grind" | "blade.leftGrind";
  points: readonly Height[];
}) {
  const { session } = useBench();
  const make = (id: string): Height => {
    const { blade } = session.getState().design;
    const grind = at === "blade.grind" ? blade.grind : blade.leftGrind;
    const last = points.reduce((most, p) => Math.max(most, p.xMm), blade.ricassoMm);
    const heightMm =
      points[points.length - 1]?.heightMm ?? (grind && "heightMm" in grind ? grind.heightMm : 10);
    return { id, xMm: round(points.length === 0 ? last : (last + blade.lengthMm) / 2), heightMm };
  };
  return (
    <>
      {points.length > 0 && (
        <Text color="graphite" fontSize="sm">
          The face's height runs through these points, and is level beyond them.
        </Text>
      )}
      <PointList
        at={`${at}.along`}
        points={points}
        most={12}
        valueKey="heightMm"
        valueLabel="height of the face"
        addLabel="Height at a station"
        make={make}
        what="Face"
      />
    </>
  );
}
