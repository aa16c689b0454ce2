"use client";
import { Button, HStack, IconButton, Stack, Text } from "@chakra-ui/react";
import { Plus, Trash2 } from "lucide-react";
import { valueAt } from "@/core/base/record/path";
import { freeId } from "@/core/figures/fit/openSpot";
import type { CurvePoint } from "@/core/knife/design/schema";
import { LengthAt, YesAt } from "../../bound/bound";
import { useBench, useDesign, useSelected } from "../../session/BenchContext";

/** The points of a curve on the handle: picked on the drawing or with Tab, added, made a corner, typed and removed. */
export function PointList(props: {
  at: "handle.lengthwise.points" | `handle.halves.${number}.shape.points`;
  /** What the drawing calls its points: this, a hyphen, and the point's id. */
  prefix: string;
  closed: boolean;
  least: number;
  most: number;
}) {
  const { at, prefix, closed, least, most } = props;
  const { edit, setSelected } = useBench();
  const selected = useSelected();
  const points = useDesign((d) => (valueAt(d, at) as readonly CurvePoint[] | undefined) ?? NONE);
  const index = points.findIndex((p) => selected === `${prefix}-${p.id}`);
  return (
    <Stack gap="2">
      <HStack gap="2" wrap="wrap">
        <Button
          size="xs"
          variant="outline"
          disabled={points.length >= most}
          onClick={() => {
            const id = freeId("point", points);
            edit({ code: "curve-point-add", list: at, closed, id });
            setSelected(`${prefix}-${id}`);
          }}
        >
          <Plus /> Add point
        </Button>
        {index >= 0 && (
          <IconButton
            size="xs"
            variant="outline"
            aria-label={`Remove point ${index + 1}`}
            disabled={points.length <= least}
            onClick={() => edit({ code: "remove", list: at, at: index })}
          >
            <Trash2 />
          </IconButton>
        )}
        <Text color="graphite" fontSize="sm">
          {index >= 0
            ? `Point ${index + 1} of ${points.length}`
            : `${points.length} points: pick one on the drawing`}
        </Text>
      </HStack>
      {index >= 0 && (
        <>
          <LengthAt at={`${at}.${index}.xMm`} behind />
          <LengthAt at={`${at}.${index}.yMm`} />
          <YesAt at={`${at}.${index}.corner`} />
        </>
      )}
    </Stack>
  );
}

const NONE: readonly CurvePoint[] = [];
