"use client";
import { Box, HStack, Table, Text } from "@chakra-ui/react";
import { useWindowVirtualizer } from "@tanstack/react-virtual";
import { memo, useLayoutEffect, useRef, useState } from "react";
import type { UnitSystem } from "@/core/base/units/print";
import type { Shop } from "@/core/figures/cost/shop";
import type { OwnMaterial } from "@/core/materials/own/types";
import type { Material } from "@/core/materials/types";
import { HAZARD_WORDS, MATERIAL_CLASS_WORDS } from "@/words/materials";
import { PriceCell } from "../cost/PriceCell";
import { Hatches, hatchId } from "../drawing/Hatches";
import { FavouriteStar } from "../fields/FavouriteStar";
import { color } from "../kit/theme";
import { useBeyond } from "../kit/useBeyond";
import type { OwnDialogOpeners } from "../ownMaterials/useOwnDialog";
import { OwnActions } from "./OwnActions";

/** Rows drawn beyond those in sight. */
const BEYOND = 12;
/** A row of two lines, px; each is measured once it is drawn. */
const USUAL_PX = 77;

interface MaterialTableProps {
  readonly shown: readonly Material[];
  readonly own: readonly OwnMaterial[];
  readonly shop: Shop;
  readonly units: UnitSystem;
  readonly ask: OwnDialogOpeners;
}

/** Materials with their densities, hazards and prices; of a long list only the rows in sight are drawn. */
export const MaterialTable = memo(function MaterialTable({
  shown,
  own,
  shop,
  units,
  ask,
}: MaterialTableProps) {
  const list = useRef<HTMLDivElement>(null);
  const [top, setTop] = useState(0);
  // What stands above the table comes and goes.
  useLayoutEffect(() => setTop(list.current?.offsetTop ?? 0));
  const beyond = useBeyond(BEYOND);
  const rows = useWindowVirtualizer({
    count: shown.length,
    overscan: beyond,
    scrollMargin: top,
    getItemKey: (i) => shown[i].id,
    estimateSize: () => USUAL_PX,
  });
  const items = rows.getVirtualItems();
  const above = items.length > 0 ? items[0].start - top : 0;
  const below = items.length > 0 ? rows.getTotalSize() - (items[items.length - 1].end - top) : 0;
  return (
    <Box ref={list} bg="sheet" borderWidth="1px" borderRadius="md" overflowX="auto">
      {/* Pattern definitions that every swatch refers to. */}
      <svg width="0" height="0" aria-hidden="true" style={{ position: "absolute" }}>
        <Hatches />
      </svg>
      <Table.Root
        size="sm"
        aria-rowcount={shown.length + 1}
        css={{ "& th, & td": { bg: "sheet", color: "ink" } }}
      >
        <Table.Header>
          <Table.Row>
            <Table.ColumnHeader minW={{ base: "0", lg: "270px" }}>Material</Table.ColumnHeader>
            <Table.ColumnHeader hideBelow="lg">Class</Table.ColumnHeader>
            <Table.ColumnHeader textAlign="end">Density, g/cm³</Table.ColumnHeader>
            <Table.ColumnHeader textAlign="end" hideBelow="md">
              Range
            </Table.ColumnHeader>
            <Table.ColumnHeader hideBelow="md">Take care</Table.ColumnHeader>
            <Table.ColumnHeader hideBelow="lg">Source of the density</Table.ColumnHeader>
            <Table.ColumnHeader>Price</Table.ColumnHeader>
          </Table.Row>
        </Table.Header>
        <Table.Body>
          {above > 0 && <tr aria-hidden style={{ height: above }} />}
          {items.map((item) => {
            const m = shown[item.index];
            return (
              <Table.Row
                key={item.key}
                ref={rows.measureElement}
                data-index={item.index}
                aria-rowindex={item.index + 2}
              >
                <Table.Cell fontWeight="500">
                  <HStack gap="2">
                    <Swatch material={m} />
                    <Box flex="1" minW="0" overflowWrap="anywhere">
                      {m.name}
                      {/* What has no column of its own where the window is narrow. */}
                      <Text color="graphite" fontSize="sm" fontWeight="400" hideFrom="lg">
                        {MATERIAL_CLASS_WORDS[m.class]}. {sourceWords(m, own)}
                      </Text>
                      <Text color="graphite" fontSize="sm" fontWeight="400" hideFrom="md">
                        {[rangeWords(m), hazardWords(m)].filter(Boolean).join(". ")}
                      </Text>
                    </Box>
                    <FavouriteStar id={m.id} name={m.name} />
                    <OwnActions material={m} own={own.find((o) => o.id === m.id)} ask={ask} />
                  </HStack>
                </Table.Cell>
                <Table.Cell hideBelow="lg">{MATERIAL_CLASS_WORDS[m.class]}</Table.Cell>
                <Table.Cell textAlign="end">{m.densityGcc.typical.toFixed(2)}</Table.Cell>
                <Table.Cell textAlign="end" whiteSpace="nowrap" hideBelow="md">
                  {rangeWords(m)}
                </Table.Cell>
                <Table.Cell minW="130px" hideBelow="md">
                  {hazardWords(m)}
                </Table.Cell>
                <Table.Cell minW="170px" hideBelow="lg">
                  {sourceWords(m, own)}
                </Table.Cell>
                <Table.Cell minW={{ base: "110px", lg: "150px" }}>
                  <PriceCell priceKey={m.id} name={m.name} shop={shop} units={units} />
                </Table.Cell>
              </Table.Row>
            );
          })}
          {below > 0 && <tr aria-hidden style={{ height: below }} />}
        </Table.Body>
      </Table.Root>
    </Box>
  );
});

const rangeWords = ({ densityGcc: { low, high } }: Material) => `${low.toFixed(2)} – ${high.toFixed(2)}`;
const hazardWords = ({ hazards }: Material) => hazards.map((h) => HAZARD_WORDS[h]).join("; ");
const sourceWords = ({ id, source }: Material, own: readonly OwnMaterial[]) =>
  [source, own.find((o) => o.id === id)?.note].filter(Boolean).join(". ");

/** How a material is drawn: its tint, and the hatching of its class. */
function Swatch({ material }: { material: Material }) {
  return (
    <svg width="26" height="16" aria-hidden="true" style={{ flexShrink: 0 }}>
      <rect
        width="26"
        height="16"
        fill={material.tint}
        fillOpacity={material.class === "steel" ? 0.35 : 0.75}
      />
      <rect width="26" height="16" fill={`url(#${hatchId(material.class)})`} stroke={color("ink")} />
    </svg>
  );
}
