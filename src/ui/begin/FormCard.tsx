"use client";
import { Box, Text } from "@chakra-ui/react";
import { memo, useMemo } from "react";
import type { ProductDesign } from "@/core/knife/design/product";
import { viewsOf } from "../products/viewsOf";

interface FormCardProps {
  readonly design: ProductDesign;
  readonly words: { readonly name: string; readonly says: string };
  readonly picked: boolean;
  readonly onPick: () => void;
}

const WIDE_PX = 216;
const HIGH_PX = 78;

/** One form: its design drawn to fit, its name, and what it is. */
export const FormCard = memo(function FormCard({ design, words, picked, onPick }: FormCardProps) {
  const { Side } = viewsOf(design);
  const { scale, width, height } = useMemo(() => fitted(design), [design]);
  return (
    <Box
      as="label"
      cursor="pointer"
      bg="sheet"
      borderWidth="2px"
      borderColor={picked ? "ink" : "rule"}
      borderRadius="md"
      p="3"
      display="block"
      _focusWithin={{ outline: "2px solid", outlineColor: "ink", outlineOffset: "2px" }}
    >
      <input
        type="radio"
        name="starting-form"
        checked={picked}
        onChange={onPick}
        aria-label={words.name}
        style={{ position: "absolute", opacity: 0, width: 1, height: 1 }}
      />
      <svg width={width} height={height} aria-hidden="true" style={{ display: "block", maxWidth: "100%" }}>
        <Side design={design} scale={scale} line={0.8} />
      </svg>
      <Text fontWeight="600" mt="2">
        {words.name}
      </Text>
      <Text color="graphite" fontSize="sm">
        {words.says}
      </Text>
    </Box>
  );
});

function fitted(design: ProductDesign) {
  const e = viewsOf(design).extent(design);
  const pxPerMm = Math.min((WIDE_PX - 8) / (e.xHigh - e.xLow), (HIGH_PX - 8) / (e.yHigh - e.yLow));
  const originX = (WIDE_PX - (e.xHigh - e.xLow) * pxPerMm) / 2 - e.xLow * pxPerMm;
  const originY = (HIGH_PX - (e.yHigh - e.yLow) * pxPerMm) / 2 + e.yHigh * pxPerMm;
  return { scale: { pxPerMm, originX, originY }, width: WIDE_PX, height: HIGH_PX };
}
