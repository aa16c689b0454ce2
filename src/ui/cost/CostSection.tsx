"use client";
import { NativeSelect, Stack, Text } from "@chakra-ui/react";
import { useState } from "react";
import type { Bill } from "@/core/figures/cost/bill";
import { useUnits } from "@/store/settings";
import { useShop } from "@/store/shop";
import { priceKeyWords, takenWords, takeWords } from "@/words/cost";
import { printMinutes, printMoney } from "@/words/money";
import { useMaterialOf } from "../kit/materials";
import { Fact, Figures, Note, Section } from "../report/Section";
import type { Column } from "./column";
import { PriceCell } from "./PriceCell";
import { ShopFields } from "./ShopFields";
import { WorkTable } from "./WorkTable";

/** What it costs: stock and hardware at the shop's prices, time at its rate; of the knife, or of one beside it. */
export function CostSection({ columns }: { columns: readonly Column[] }) {
  const [key, setKey] = useState("now");
  const column = columns.find((c) => c.key === key) ?? columns[0];
  return (
    <Section id="cost" title="Cost" settings={<ShopFields />} settingsStay>
      {columns.length > 1 && <WhoseBill columns={columns} value={column.key} onChange={setKey} />}
      {column.bill ? (
        <BillShown bill={column.bill} own={column.compared === null} />
      ) : (
        <Text color={column.broken ? "fault" : "graphite"}>
          {column.broken ? "What cannot be built has no bill." : "Calculating cost …"}
        </Text>
      )}
    </Section>
  );
}

function WhoseBill(props: { columns: readonly Column[]; value: string; onChange: (to: string) => void }) {
  return (
    <NativeSelect.Root size="sm" width="280px">
      <NativeSelect.Field
        bg="sheet"
        aria-label="Whose bill"
        value={props.value}
        onChange={(e) => props.onChange(e.target.value)}
      >
        {props.columns.map((c) => (
          <option key={c.key} value={c.key}>
            {c.name}
          </option>
        ))}
      </NativeSelect.Field>
      <NativeSelect.Indicator />
    </NativeSelect.Root>
  );
}

/** The sum, what it is made of, and the work; `own` of the knife on the bench, whose minutes can be changed. */
function BillShown({ bill, own }: { bill: Bill; own: boolean }) {
  const materialOf = useMaterialOf();
  const shop = useShop();
  const money = (sum: number) => printMoney(sum, shop);
  return (
    <>
      <Text fontSize="lg" data-testid="bill-total">
        {bill.unpriced.length > 0 && "Incomplete: "}
        {money(bill.total)} in all: materials {money(bill.materials)}, {printMinutes(bill.minutes)} of work{" "}
        {money(bill.labour)}
        {bill.others > 0 && `, besides ${money(bill.others)}`}.
      </Text>
      {bill.unpriced.length > 0 && (
        <Text color="warn" data-testid="unpriced">
          Without a price that serves, and not in the sum:{" "}
          {bill.unpriced.map((key) => priceKeyWords(key, materialOf)).join(", ")}.
        </Text>
      )}
      <BillLines bill={bill} />
      <Stack gap="1">
        <Fact name="Work">{printMinutes(bill.minutes)}</Fact>
        <WorkTable bill={bill} own={own} />
      </Stack>
      <Note>
        Stock is charged by the share that is used up, with the room to saw it. Minutes are rough figures to
        begin from: put your own. Waiting for glue and kiln is not counted.
      </Note>
    </>
  );
}

function BillLines({ bill }: { bill: Bill }) {
  const materialOf = useMaterialOf();
  const units = useUnits();
  const shop = useShop();
  const costOf = ({ cost, problem }: Bill["lines"][number]) => {
    if (cost !== null) return printMoney(cost, shop);
    return problem === "stock-too-small" ? "stock too small" : "–";
  };
  return (
    <Figures
      label="Materials and hardware"
      rows={bill.lines}
      keyOf={(l, i) => `${takeWords(l.take)} ${l.take.key} ${i}`}
      none="Nothing is bought for it."
      columns={[
        { name: "For", of: (l) => takeWords(l.take) },
        { name: "Material", of: (l) => priceKeyWords(l.take.key, materialOf) },
        { name: "Amount", of: (l) => takenWords(l.take, units) },
        {
          name: "Price",
          of: ({ take: { key } }) => (
            <PriceCell priceKey={key} name={priceKeyWords(key, materialOf)} shop={shop} units={units} />
          ),
        },
        { name: "Cost", number: true, of: costOf },
      ]}
    />
  );
}
