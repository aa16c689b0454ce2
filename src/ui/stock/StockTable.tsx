"use client";
import { Button, HStack, Stack, Text } from "@chakra-ui/react";
import { FileDown } from "lucide-react";
import { nanoid } from "nanoid";
import { useState } from "react";
import type { StockReading } from "@/core/files/csv/readStock";
import { ownId } from "@/core/stock/own/make";
import { keepMaterial } from "@/store/ownMaterials";
import { changeShop } from "@/store/shop";
import { classCalled, rowFailureWords, stockFailureWords } from "@/words/stockTables";
import { FileButton } from "../fields/FileButton";
import { useMaterials } from "../materials";
import { notices } from "../shell/notice";

type Read = Extract<StockReading, { ok: true }>;

/** Left out rows that are listed; more are counted. */
const LISTED = 12;

export interface StockTableState {
  readonly read: Read | null;
  readonly wrong: string | null;
  readonly open: (file: File) => Promise<void>;
  readonly close: () => void;
}

/** A table of materials and prices that is being brought in. */
export function useStockTable(): StockTableState {
  const materials = useMaterials();
  const [read, setRead] = useState<Read | null>(null);
  const [wrong, setWrong] = useState<string | null>(null);
  return {
    read,
    wrong,
    open: async (file) => {
      // The reader of tables is loaded when it is asked for.
      const { readStock, LARGEST_TABLE_BYTES } = await import("@/core/files/csv/readStock");
      const bytes =
        file.size > LARGEST_TABLE_BYTES
          ? new Uint8Array(LARGEST_TABLE_BYTES + 1)
          : new Uint8Array(await file.arrayBuffer());
      const reading = readStock(bytes, { materials, classOf: classCalled, nextId: () => ownId(nanoid(10)) });
      setRead(reading.ok ? reading : null);
      setWrong(reading.ok ? null : `${file.name}: ${stockFailureWords(reading)}`);
    },
    close: () => {
      setRead(null);
      setWrong(null);
    },
  };
}

export function StockTableButton({ state }: { state: StockTableState }) {
  return (
    <FileButton
      size="sm"
      flexShrink="0"
      accept=".csv,.tsv,.txt,text/csv"
      testId="stock-table"
      failure="The table was not read"
      onFiles={([file]) => state.open(file)}
    >
      <FileDown /> Bring in CSV
    </FileButton>
  );
}

/** What a table would add, before it is added. */
export function StockTablePreview({ state }: { state: StockTableState }) {
  const { read, wrong } = state;
  if (wrong)
    return (
      <Text color="fault" role="alert">
        {wrong}
      </Text>
    );
  if (!read) return null;
  const materials = read.rows.flatMap((r) => r.material ?? []);
  const prices = read.rows.flatMap((r) => r.price ?? []);
  const known = read.rows.length - materials.length - read.rows.filter((r) => !r.material && r.price).length;
  const take = async () => {
    for (const m of materials) await keepMaterial(m);
    const kept =
      prices.length === 0 ||
      (await changeShop((shop) => ({
        ...shop,
        prices: { ...shop.prices, ...Object.fromEntries(prices.map((p) => [p.key, p.price])) },
      })));
    if (kept)
      notices.success({
        title: `${materials.length} materials and ${prices.length} prices taken in`,
        duration: 4000,
      });
    else
      notices.error({
        title: "The prices were not taken in",
        description: "More than 1,000 prices find no room.",
      });
    state.close();
  };
  return (
    <Stack
      bg="sheet"
      borderWidth="1px"
      borderRadius="md"
      p="4"
      gap="2"
      role="group"
      aria-label="Table of stock"
    >
      <Text>
        {materials.length} new {materials.length === 1 ? "material" : "materials"}, {prices.length}{" "}
        {prices.length === 1 ? "price" : "prices"}
        {known > 0 && `; ${known} known already, without a price`}.
      </Text>
      {materials.length > 0 && <Text color="graphite">{materials.map((m) => m.name).join(" · ")}</Text>}
      {read.refused.slice(0, LISTED).map((r) => (
        <Text key={r.line} color="fault">
          {rowFailureWords(r)}
        </Text>
      ))}
      {read.refused.length > LISTED && (
        <Text color="fault">And {read.refused.length - LISTED} more lines that cannot be read.</Text>
      )}
      <HStack>
        <Button size="sm" disabled={materials.length + prices.length === 0} onClick={() => void take()}>
          Take them in
        </Button>
        <Button size="sm" variant="ghost" onClick={state.close}>
          Cancel
        </Button>
      </HStack>
    </Stack>
  );
}
