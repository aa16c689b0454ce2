"use client";
import { Box, Button, HStack, Stack, Text } from "@chakra-ui/react";
import { FileDown } from "lucide-react";
import { createPortal } from "react-dom";
import { counted } from "@/words/grammar";
import { cleanedWords, rowFailureWords } from "@/words/stockTables";
import { ChoiceField } from "../fields/ChoiceField";
import { FileButton } from "../fields/FileButton";
import { ProgressLine } from "../kit/ProgressLine";
import { type StockTableState, useStockTable } from "./useStockTable";

/** Left out rows that are listed; more are counted. */
const LISTED = 100;

/** Brings a table in: a button, and what the table would add, shown in the place that it is given. */
export function StockImport({ below }: { below: HTMLElement | null }) {
  const state = useStockTable();
  return (
    <>
      <FileButton
        size="sm"
        flexShrink="0"
        accept=".csv,.tsv,.txt,text/csv"
        testId="stock-table"
        failure="The table was not read"
        disabled={state.working !== null}
        onFiles={([file]) => state.open(file)}
      >
        <FileDown /> Bring in CSV
      </FileButton>
      {below && createPortal(<StockTablePreview state={state} />, below)}
    </>
  );
}

const DECIMALS = [
  { value: "comma", name: "A comma is the decimal mark: 1,250 is one and a quarter" },
  { value: "point", name: "A point is the decimal mark: 1,250 is one thousand two hundred and fifty" },
] as const;

/** What a table would add, before it is added. */
function StockTablePreview({ state }: { state: StockTableState }) {
  const { read, wrong, working, ambiguous } = state;
  if (working)
    return <ProgressLine says={working.says} done={working.done} onCancel={working.cancel ?? undefined} />;
  if (wrong)
    return (
      <Text color="fault" role="alert" overflowWrap="anywhere">
        {wrong}
      </Text>
    );
  if (ambiguous) return <AskDecimal state={state} ambiguous={ambiguous} />;
  return read && <TableRead state={state} read={read} />;
}

const CARD = { bg: "sheet", borderWidth: "1px", borderRadius: "md", p: "4", role: "group" } as const;

/** Asks how figures are meant that can be read in two ways. */
function AskDecimal(props: { state: StockTableState; ambiguous: NonNullable<StockTableState["ambiguous"]> }) {
  const { state, ambiguous } = props;
  return (
    <Stack {...CARD} gap="3" aria-label="Decimal mark">
      <Text>
        In the column “{ambiguous.column}” figures such as <b>{ambiguous.text}</b> can be read in two ways.
      </Text>
      <ChoiceField
        label="How are they meant?"
        value={state.decimal}
        choices={[{ value: "ask", name: "Choose …" }, ...DECIMALS]}
        onChange={state.chooseDecimal}
      />
      <Button size="sm" variant="ghost" alignSelf="start" onClick={state.close}>
        Cancel
      </Button>
    </Stack>
  );
}

type TableReading = NonNullable<StockTableState["read"]>;

function TableRead({ state, read }: { state: StockTableState; read: TableReading }) {
  const materials = read.rows.flatMap((r) => r.material ?? []);
  const prices = read.rows.flatMap((r) => r.price ?? []);
  const known = read.rows.length - materials.length - read.rows.filter((r) => !r.material && r.price).length;
  return (
    <Stack {...CARD} gap="2" aria-label="Table of stock">
      <HStack wrap="wrap">
        <Text flex="1" minW="240px" fontWeight="500">
          {counted(materials.length, "new material")}, {counted(prices.length, "price")}
          {known > 0 && `; ${known} known already, without a price`}
          {read.refused.length > 0 && `; ${counted(read.refused.length, "line")} left out`}.
        </Text>
        <Button size="sm" disabled={materials.length + prices.length === 0} onClick={() => void state.take()}>
          Import
        </Button>
        <Button size="sm" variant="ghost" onClick={state.close}>
          Cancel
        </Button>
      </HStack>
      {/* Long lists scroll by themselves: the buttons above stay in sight. */}
      <Box maxH="220px" overflowY="auto">
        {materials.length > 0 && (
          <Text color="graphite" overflowWrap="anywhere">
            {materials.map((m) => m.name).join(" · ")}
          </Text>
        )}
        <LinesRead read={read} />
      </Box>
    </Stack>
  );
}

/** Lines that were read otherwise than they stand, and those that cannot be read. */
function LinesRead({ read }: { read: TableReading }) {
  return (
    <>
      {read.cleaned.slice(0, LISTED).map((c) => (
        <Text key={c.line} color="graphite" overflowWrap="anywhere">
          {cleanedWords(c)}
        </Text>
      ))}
      {read.refused.slice(0, LISTED).map((r) => (
        <Text key={r.line} color="fault" overflowWrap="anywhere">
          {rowFailureWords(r)}
        </Text>
      ))}
      {read.refused.length > LISTED && (
        <Text color="fault">And {read.refused.length - LISTED} more lines that cannot be read.</Text>
      )}
    </>
  );
}
