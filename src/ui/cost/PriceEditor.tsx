"use client";
import { Button, Flex, NativeSelect, Stack } from "@chakra-ui/react";
import { useRef, useState } from "react";
import { own } from "@/core/base/own";
import { type Price, SHOP_LIMITS, type Shop } from "@/core/figures/cost/shop";
import { changeShop } from "@/store/shop";
import { PRICE_BY_WORDS, priceKeyWords } from "@/words/cost";
import { LengthField } from "../fields/LengthField";
import { ShareField } from "../fields/ShareField";
import { useMaterialOf } from "../kit/materials";

/** A price to begin from when it is asked for by the kilogram, the piece or the board. */
function begun(by: Price["by"], from: Price | undefined): Price {
  const money = from ? (from.by === "weight" ? from.perKg : from.perPiece) : 0;
  if (by === "weight") return { by, perKg: money };
  if (by === "piece") return { by, perPiece: money, makes: 1 };
  return { by, perPiece: money, lengthMm: 300, widthMm: 100, thicknessMm: 10 };
}

/** One price, set by weight, by the piece or by the size of what is bought. Kept when it is done; Cancel keeps nothing. */
export function PriceEditor(props: { priceKey: string; shop: Shop; onDone: () => void }) {
  const materialOf = useMaterialOf();
  const { priceKey, shop, onDone } = props;
  const hardware = priceKey.startsWith("each:");
  const [price, setPrice] = useState<Price>(
    () => own(shop.prices, priceKey) ?? begun(hardware ? "piece" : "weight", undefined),
  );
  const kinds: Price["by"][] = hardware ? ["piece"] : ["weight", "piece", "size"];
  const box = useRef<HTMLDivElement>(null);
  // What another tab sets meanwhile is not overwritten without a word.
  const begunFrom = useRef(shop);
  const keep = async (next: Price | null) => {
    // What cannot be read stays, with the reason beside it.
    if (next && box.current?.querySelector("[aria-invalid=true]")) return;
    await changeShop((s) => {
      const { [priceKey]: _, ...rest } = s.prices;
      return { ...s, prices: next ? { ...rest, [priceKey]: next } : rest };
    }, begunFrom.current);
    onDone();
  };
  const name = priceKeyWords(priceKey, materialOf);
  return (
    <Stack
      ref={box}
      gap="1.5"
      minW="270px"
      bg="sheet"
      borderWidth="1px"
      borderRadius="sm"
      p="2"
      data-testid="price-editor"
    >
      <NativeSelect.Root size="sm">
        <NativeSelect.Field
          bg="ground"
          aria-label={`${name} is priced by`}
          value={price.by}
          onChange={(e) => setPrice(begun(e.target.value as Price["by"], price))}
        >
          {kinds.map((k) => (
            <option key={k} value={k}>
              {PRICE_BY_WORDS[k]}
            </option>
          ))}
        </NativeSelect.Field>
        <NativeSelect.Indicator />
      </NativeSelect.Root>
      <PriceFields price={price} onChange={setPrice} />
      <Flex gap="2">
        <Button size="xs" onClick={() => void keep(price)}>
          Save the price
        </Button>
        <Button size="xs" variant="outline" onClick={onDone}>
          Cancel
        </Button>
        {own(shop.prices, priceKey) && (
          <Button size="xs" variant="ghost" onClick={() => void keep(null)}>
            No price
          </Button>
        )}
      </Flex>
    </Stack>
  );
}

const SIDES = [
  { side: "lengthMm", label: "Length" },
  { side: "widthMm", label: "Width" },
  { side: "thicknessMm", label: "Thickness" },
] as const;

/** What a price says: the money, and how many or how large what it buys is. */
function PriceFields({ price, onChange }: { price: Price; onChange: (to: Price) => void }) {
  return (
    <>
      <ShareField
        label={price.by === "weight" ? "A kilogram costs" : "One costs"}
        value={price.by === "weight" ? price.perKg : price.perPiece}
        {...SHOP_LIMITS.money}
        unit=""
        factor={1}
        onChange={(money) =>
          onChange(price.by === "weight" ? { ...price, perKg: money } : { ...price, perPiece: money })
        }
      />
      {price.by === "piece" && (
        <ShareField
          label="One makes"
          help="2 for a pair of scales."
          value={price.makes}
          {...SHOP_LIMITS.makes}
          unit=""
          factor={1}
          onChange={(makes) => onChange({ ...price, makes })}
        />
      )}
      {price.by === "size" &&
        SIDES.map(({ side, label }) => (
          <LengthField
            key={side}
            label={label}
            mm={price[side]}
            {...SHOP_LIMITS.sizeMm}
            onChange={(mm) => onChange({ ...price, [side]: mm })}
          />
        ))}
    </>
  );
}
