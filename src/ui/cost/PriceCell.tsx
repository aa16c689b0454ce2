"use client";
import { Button, Flex } from "@chakra-ui/react";
import { useState } from "react";
import { own } from "@/core/base/own";
import type { UnitSystem } from "@/core/base/units/print";
import type { Shop } from "@/core/figures/cost/shop";
import { priceWords } from "@/words/cost";
import { PriceEditor } from "./PriceEditor";

/** What something costs to buy, with a button that puts the editor in its place. */
export function PriceCell(props: { priceKey: string; name: string; shop: Shop; units: UnitSystem }) {
  const { priceKey, name, shop, units } = props;
  const [editing, setEditing] = useState(false);
  if (editing) return <PriceEditor priceKey={priceKey} shop={shop} onDone={() => setEditing(false)} />;
  return (
    <Flex gap="2" align="center" justify="space-between">
      {priceWords(own(shop.prices, priceKey), shop, units)}
      <Button
        size="2xs"
        variant="outline"
        aria-label={`Set the price of ${name}`}
        onClick={() => setEditing(true)}
      >
        Set
      </Button>
    </Flex>
  );
}
