"use client";
import { Button, HStack, IconButton, Stack, Text } from "@chakra-ui/react";
import { Plus, Trash2 } from "lucide-react";
import type { CurvePoint } from "@/core/design/schema";
import { valueAt } from "@/core/edit/path";
import { freeId } from "@/core/fit/openSpot";
import { withPointBetween } from "@/core/layout/handleStarts";
import { LengthAt, YesAt } from "../../fields/bound";
import { useBench, useDesign, useSelected } from "../BenchContext";

/** The points of a curve on the handle: picked on the drawing or with Tab, added, made a corner, typed and removed. */
export function PointList(props: {
  at: string;
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
  const put = (label: string, next: readonly CurvePoint[]) =>
    edit(label, (d) => {
      const list = valueAt(d, at) as CurvePoint[];
      list.splice(0, list.length, ...next);
    });
  return (
    <Stack gap="2">
      <HStack gap="2" wrap="wrap">
        <Button
          size="xs"
          variant="outline"
          disabled={points.length >= most}
          onClick={() => {
            const id = freeId("point", points);
            put("Add point", withPointBetween(points, closed, id));
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
            onClick={() =>
              put(
                "Remove point",
                points.filter((_, i) => i !== index),
              )
            }
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
          <LengthAt at={`${at}.${index}.xMm`} label="Behind the front" behind />
          <LengthAt at={`${at}.${index}.yMm`} label="Above the axis" />
          <YesAt at={`${at}.${index}.corner`} label="Corner" />
        </>
      )}
    </Stack>
  );
}

const NONE: readonly CurvePoint[] = [];
