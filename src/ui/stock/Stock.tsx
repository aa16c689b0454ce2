"use client";
import { Box, Button, Flex, HStack, Input, NativeSelect, Stack, Table, Text } from "@chakra-ui/react";
import { Plus } from "lucide-react";
import { useMemo, useState } from "react";
import { OWN_PREFIX } from "@/core/stock/own/types";
import { searchMaterials } from "@/core/stock/search";
import { MATERIAL_CLASSES, type Material, type MaterialClass } from "@/core/stock/types";
import { useOwnList } from "@/store/ownMaterials";
import { useSettings } from "@/store/settings";
import { useShop } from "@/store/shop";
import { HAZARD_WORDS, MATERIAL_CLASS_WORDS } from "@/words/materials";
import { PriceCell } from "../cost/PriceCell";
import { Hatches, hatchId } from "../drawing/Hatches";
import { FavouriteStar } from "../fields/FavouriteStar";
import { useMaterials } from "../materials";
import { Header } from "../shell/Header";
import { PageHead } from "../shell/PageHead";
import { color } from "../theme";
import { OwnActions } from "./OwnActions";
import { useOwnDialog } from "./own/useOwnDialog";
import { StockTableButton, StockTablePreview } from "./StockTable";
import { useStockTable } from "./useStockTable";

/** The choice of own materials alone, among the classes. */
const OWN = "own";
const isOwn = (m: Material) => m.id.startsWith(OWN_PREFIX);

/** Every material: density with its range, what can hurt, and where the figure comes from. */
export function Stock() {
  const [words, setWords] = useState("");
  const [cls, setCls] = useState<MaterialClass | "" | typeof OWN>("");
  const materials = useMaterials();
  const { materials: own, unreadable } = useOwnList();
  const ask = useOwnDialog();
  const table = useStockTable();
  const shop = useShop();
  const { units, favourites } = useSettings();
  const shown = useMemo(() => {
    const found = searchMaterials(words, materials).filter(
      (m) => cls === "" || (cls === OWN ? isOwn(m) : m.class === cls),
    );
    // Without words favourites stand first, then own ones.
    const rank = (m: Material) => (favourites.includes(m.id) ? 0 : isOwn(m) ? 1 : 2);
    return words.trim() === "" ? [...found].sort((a, b) => rank(a) - rank(b)) : found;
  }, [words, cls, favourites, materials]);
  return (
    <Flex direction="column" minH="100vh">
      <Header />
      <Stack as="main" w="full" maxW="1240px" mx="auto" px="6" py="5" gap="4">
        <PageHead
          title="Stock"
          note="What a knife can be made of. The range is what pieces off the shelf fall in; it decides the interval under every weight."
        >
          <Input
            aria-label="Find a material"
            placeholder="Find a material"
            value={words}
            onChange={(e) => setWords(e.target.value)}
            bg="sheet"
          />
          <NativeSelect.Root width="220px" flexShrink="0">
            <NativeSelect.Field
              aria-label="Class of material"
              value={cls}
              onChange={(e) => setCls(e.target.value as typeof cls)}
              bg="sheet"
            >
              <option value="">All classes</option>
              <option value={OWN}>My own</option>
              {MATERIAL_CLASSES.map((c) => (
                <option key={c} value={c}>
                  {MATERIAL_CLASS_WORDS[c]}
                </option>
              ))}
            </NativeSelect.Field>
            <NativeSelect.Indicator />
          </NativeSelect.Root>
          <StockTableButton state={table} />
          <Button size="sm" flexShrink="0" onClick={ask.begin}>
            <Plus /> New material
          </Button>
        </PageHead>
        {ask.dialog}
        <StockTablePreview state={table} />
        {unreadable.length > 0 && (
          <Text color="fault" role="status">
            Of your own materials {unreadable.length === 1 ? "one" : unreadable.length} cannot be read here,
            and {unreadable.length === 1 ? "is" : "are"} kept as{" "}
            {unreadable.length === 1 ? "it is" : "they are"}: {unreadable.join(", ")}.
          </Text>
        )}
        <Text color="graphite" aria-live="polite">
          {shown.length === 0
            ? cls === OWN && words.trim() === ""
              ? "You have none of your own yet. Make one, or copy one that comes near with the button beside its name."
              : "No material is called that. Try another word, or fewer letters."
            : `${shown.length} of ${materials.length} materials`}
        </Text>
        <Box bg="sheet" borderWidth="1px" borderRadius="md" overflowX="auto">
          <Table.Root size="sm" css={{ "& th, & td": { bg: "sheet", color: "ink" } }}>
            <Table.Header>
              <Table.Row>
                <Table.ColumnHeader>Material</Table.ColumnHeader>
                <Table.ColumnHeader>Class</Table.ColumnHeader>
                <Table.ColumnHeader textAlign="end">Density, g/cm³</Table.ColumnHeader>
                <Table.ColumnHeader textAlign="end">Range</Table.ColumnHeader>
                <Table.ColumnHeader>Take care</Table.ColumnHeader>
                <Table.ColumnHeader>Source of the density</Table.ColumnHeader>
                <Table.ColumnHeader>Price</Table.ColumnHeader>
              </Table.Row>
            </Table.Header>
            <Table.Body>
              {shown.map((m) => (
                <Table.Row key={m.id}>
                  <Table.Cell fontWeight="500">
                    <HStack gap="2">
                      <svg width="26" height="16" aria-hidden="true" style={{ flexShrink: 0 }}>
                        <Hatches />
                        <rect
                          width="26"
                          height="16"
                          fill={m.tint}
                          fillOpacity={m.class === "steel" ? 0.35 : 0.75}
                        />
                        <rect
                          width="26"
                          height="16"
                          fill={`url(#${hatchId(m.class)})`}
                          stroke={color("ink")}
                        />
                      </svg>
                      {m.name}
                      <FavouriteStar id={m.id} name={m.name} />
                      <OwnActions material={m} own={own.find((o) => o.id === m.id)} ask={ask} />
                    </HStack>
                  </Table.Cell>
                  <Table.Cell>{MATERIAL_CLASS_WORDS[m.class]}</Table.Cell>
                  <Table.Cell textAlign="end">{m.densityGcc.typical.toFixed(2)}</Table.Cell>
                  <Table.Cell textAlign="end" whiteSpace="nowrap">
                    {m.densityGcc.low.toFixed(2)} – {m.densityGcc.high.toFixed(2)}
                  </Table.Cell>
                  <Table.Cell>{m.hazards.map((h) => HAZARD_WORDS[h]).join("; ")}</Table.Cell>
                  <Table.Cell>
                    {[m.source, own.find((o) => o.id === m.id)?.note].filter(Boolean).join(". ")}
                  </Table.Cell>
                  <Table.Cell minW="150px">
                    <PriceCell priceKey={m.id} name={m.name} shop={shop} units={units} />
                  </Table.Cell>
                </Table.Row>
              ))}
            </Table.Body>
          </Table.Root>
        </Box>
        <Text color="graphite" fontSize="sm">
          Fine dust of every handle material harms the lungs: respirator and extraction. Trade in some species
          is regulated: ask the authority where you live before buying or selling.
        </Text>
      </Stack>
    </Flex>
  );
}
