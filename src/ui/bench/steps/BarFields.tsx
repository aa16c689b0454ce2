"use client";
import { Button, Stack } from "@chakra-ui/react";
import type { Bar } from "@/core/design/schema";
import { bladeHeights } from "@/core/layout/bladeOutline";
import { printLengthPlain } from "@/core/units/print";
import { useUnits } from "@/store/settings";
import { LengthAt } from "../../fields/bound";
import { useBench, useDesign } from "../BenchContext";
import { Group } from "./Group";

/** The stick of a hidden or a framed tang. */
export function BarFields() {
  const units = useUnits();
  const { edit } = useBench();
  const { spine, ricassoBottom } = bladeHeights(useDesign((d) => d.blade));
  const flush = (label: string, yOf: (bar: Bar) => number) => (
    <Button
      size="xs"
      variant="outline"
      onClick={() =>
        edit(label, (d) => {
          if (d.tang.kind !== "full") d.tang.yMm = yOf(d.tang);
        })
      }
    >
      {label}
    </Button>
  );
  return (
    <Group title="Stick">
      <LengthAt
        at="tang.lengthMm"
        label="Length"
        help="From the front of the guard, or of the handle. At least half of the handle; two thirds is better. Longer than the handle goes through, flush with its end."
      />
      <LengthAt at="tang.yMm" label="Middle above the axis" />
      <Stack direction="row" wrap="wrap" gap="2">
        {flush("Shoulders on both sides", () => (spine + ricassoBottom) / 2)}
        {flush("Shoulder below only", (bar) => spine - bar.frontHeightMm / 2)}
        {flush("Shoulder above only", (bar) => ricassoBottom + bar.frontHeightMm / 2)}
      </Stack>
      <LengthAt at="tang.frontHeightMm" label="Height at the front" />
      <LengthAt at="tang.endHeightMm" label="Height at the end" />
      <LengthAt at="tang.frontThicknessMm" label="Thickness at the front" />
      <LengthAt at="tang.endThicknessMm" label="Thickness at the end" />
      <LengthAt
        at="tang.frontCornerMm"
        label="Corner radius at the front"
        help="0 is a rectangle; half the thickness or more is round."
      />
      <LengthAt at="tang.endCornerMm" label="Corner radius at the end" />
      <LengthAt
        at="tang.shoulderRadiusMm"
        label="Inside radius at the shoulder"
        help={`${printLengthPlain(1, units)} or more: a square inside corner is where a tang breaks.`}
      />
    </Group>
  );
}
