"use client";
import { Button, Stack } from "@chakra-ui/react";
import { printLengthPlain } from "@/core/base/units/print";
import { bladeHeights } from "@/core/knife/layout/bladeOutline";
import { useUnits } from "@/store/settings";
import { LengthAt } from "../../bound/bound";
import { useBench, useDesign } from "../../session/BenchContext";
import { Group } from "./Group";

/** The stick of a hidden or a framed tang. */
export function BarFields() {
  const units = useUnits();
  const { edit, session } = useBench();
  const { spine, ricassoBottom } = bladeHeights(useDesign((d) => d.blade));
  const flush = (label: string, yOf: (frontHeightMm: number) => number) => (
    <Button
      size="xs"
      variant="outline"
      onClick={() => {
        const { tang } = session.getState().design;
        if (tang.kind !== "full") edit({ code: "set", path: "tang.yMm", to: yOf(tang.frontHeightMm) });
      }}
    >
      {label}
    </Button>
  );
  return (
    <Group title="Stick">
      <LengthAt
        at="tang.lengthMm"
        help="From the front of the guard, or of the handle. At least half of the handle; two thirds is better. Longer than the handle goes through, flush with its end."
      />
      <LengthAt at="tang.yMm" />
      <Stack direction="row" wrap="wrap" gap="2">
        {flush("Shoulders on both sides", () => (spine + ricassoBottom) / 2)}
        {flush("Shoulder below only", (height) => spine - height / 2)}
        {flush("Shoulder above only", (height) => ricassoBottom + height / 2)}
      </Stack>
      <LengthAt at="tang.frontHeightMm" />
      <LengthAt at="tang.endHeightMm" />
      <LengthAt at="tang.frontThicknessMm" />
      <LengthAt at="tang.endThicknessMm" />
      <LengthAt at="tang.frontCornerMm" help="0 is a rectangle; half the thickness or more is round." />
      <LengthAt at="tang.endCornerMm" />
      <LengthAt
        at="tang.shoulderRadiusMm"
        help={`${printLengthPlain(1, units)} or more: a square inside corner is where a tang breaks.`}
      />
    </Group>
  );
}
