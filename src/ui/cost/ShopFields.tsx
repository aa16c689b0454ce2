"use client";
import { Button, Flex, Input, Stack, Text } from "@chakra-ui/react";
import workshop from "@demo/prices/workshop.json";
import { useState } from "react";
import { LARGEST_PRICES_BYTES, readPrices, writePrices } from "@/core/exchange/files/prices/prices";
import type { Shop } from "@/core/figures/cost/shop";
import { SHOP_LIMITS } from "@/core/figures/cost/shop";
import { changeShop, useShop } from "@/store/shop";
import { pricesFailureWords } from "@/words/pricesFailures";
import { createFileReader } from "@/workers/services";
import { FieldRow } from "../fields/FieldRow";
import { FileButton } from "../fields/FileButton";
import { ShareField } from "../fields/ShareField";
import { download } from "../files/files";
import { notices } from "../kit/notice";
import { Note } from "../report/Section";

/** Currency and rate, and the price list as a whole: in and out as a file, or made up to look round. */
export function ShopFields() {
  const shop = useShop();
  return (
    <Stack gap="2">
      <ShareField
        label="An hour of work"
        value={shop.ratePerHour}
        {...SHOP_LIMITS.money}
        unit=""
        factor={1}
        onChange={(ratePerHour) => void changeShop((s) => ({ ...s, ratePerHour }))}
      />
      <CurrencyField kept={shop.currency} />
      <PriceFile shop={shop} />
      <Note>Prices hold for every knife in this browser. The made-up ones are only to look round with.</Note>
    </Stack>
  );
}

/** Typed first and kept when it is done: what is kept comes back too late for quick fingers. */
function CurrencyField({ kept }: { kept: string }) {
  const [currency, setCurrency] = useState<string | null>(null);
  const keep = async () => {
    if (currency !== null) await changeShop((s) => ({ ...s, currency: currency.trim() }));
    setCurrency(null);
  };
  return (
    <FieldRow label="Currency" help="Stands after every sum.">
      <Input
        size="sm"
        bg="ground"
        textAlign="end"
        maxLength={5}
        value={currency ?? kept}
        onFocus={(e) => e.target.select()}
        onChange={(e) => setCurrency(e.target.value)}
        onBlur={() => void keep()}
        onKeyDown={(e) => {
          if (e.key === "Enter") void keep();
          if (e.key === "Escape") setCurrency(null);
        }}
      />
    </FieldRow>
  );
}

/** The whole price list, in and out as a file. */
function PriceFile({ shop }: { shop: Shop }) {
  const [refused, setRefused] = useState<string | null>(null);
  const put = async (next: Shop, said: string) => {
    const before = shop;
    await changeShop(() => next);
    setRefused(null);
    notices.success({
      title: said,
      action: { label: "Undo", onClick: () => void changeShop(() => before) },
    });
  };
  const bring = async (file: File) => {
    const reader = createFileReader();
    try {
      const bytes = new Uint8Array(await file.slice(0, LARGEST_PRICES_BYTES + 1).arrayBuffer());
      const answer = await reader.ask((s) => s.readPrices(bytes));
      if (!answer.ok) throw new Error(answer.message);
      if (answer.value.ok) await put(answer.value.shop, "The prices are imported");
      else setRefused(`${file.name}: ${pricesFailureWords(answer.value)}`);
    } finally {
      reader.dispose();
    }
  };
  const makeUp = () => {
    const example = readPrices(new TextEncoder().encode(JSON.stringify(workshop)));
    if (example.ok) void put(example.shop, "Made-up prices are in: change them to yours");
  };
  return (
    <>
      <Flex gap="2" wrap="wrap">
        <FileButton
          size="xs"
          accept=".json,application/json"
          testId="import-prices"
          failure="The prices were not imported"
          onFiles={([file]) => bring(file)}
        >
          Import prices
        </FileButton>
        <Button
          size="xs"
          variant="outline"
          onClick={() =>
            download(new Blob([writePrices(shop)], { type: "application/json" }), "prices.euaxis.json")
          }
        >
          Export prices
        </Button>
        <Button size="xs" variant="outline" onClick={makeUp}>
          Use made-up prices
        </Button>
      </Flex>
      {refused && (
        <Text color="fault" role="alert" overflowWrap="anywhere">
          Nothing was changed. {refused}
        </Text>
      )}
    </>
  );
}
