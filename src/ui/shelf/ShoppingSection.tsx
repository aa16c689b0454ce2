"use client";
import { Button, Flex, Stack, Text } from "@chakra-ui/react";
import { Download } from "lucide-react";
import { USUAL_SCALE_SHARE } from "@/core/shelf/needs";
import type { ShoppingItem } from "@/core/shelf/shopping";
import { useUnits } from "@/store/settings";
import { itemCount, itemMaterial, itemName, itemSize, shelfProblemWords } from "@/words/shelf";
import { LengthField } from "../fields/LengthField";
import { Tick } from "../fields/Tick";
import { download } from "../files/files";
import { useMaterialOf } from "../kit/materials";
import { attempt } from "../kit/notice";
import { UnderWay } from "../kit/UnderWay";
import { Figures, Note, Section } from "../report/Section";
import type { Shopping } from "./useShopping";

const BAR = { widthMm: 30, thicknessMm: 6, scaleShare: USUAL_SCALE_SHARE, grindMm: 0.5 };

/** What has to be bought for the chosen knives, after what is on the shelf. */
export function ShoppingSection(of: Shopping) {
  const { list, isLoading, failed, chosen } = of;
  const units = useUnits();
  return (
    <Section id="shopping" title="Shopping" settings={<ShoppingFields {...of} />} settingsStay>
      <UnderWay on={isLoading} says="Working out the list …" />
      {failed && (
        <Text color="fault" role="alert">
          The list could not be worked out. Choose other knives, or open this page again.
        </Text>
      )}
      {chosen.size === 0 && <Text color="graphite">Choose the knives that you are going to make.</Text>}
      {list?.problems.map((p) => {
        const words = shelfProblemWords(p, units);
        return (
          <Text key={words} color="warn" role="status">
            {words}
          </Text>
        );
      })}
      {list && <Items items={list.items} />}
      {list && list.taken.length > 0 && (
        <Note>
          From the shelf: {[...new Set(list.taken.map((t) => `${t.lot.name} for ${t.knife}`))].join("; ")}.
        </Note>
      )}
    </Section>
  );
}

function ShoppingFields({ knives, chosen, choose, spares, setSpares, forged, setForged }: Shopping) {
  return (
    <>
      <Text fontWeight="600">For</Text>
      <Stack gap="1" maxH="260px" overflowY="auto">
        {knives.map((k) => (
          <Tick
            key={k.id}
            label={k.design.name}
            checked={chosen.has(k.id)}
            onChange={(on) => choose(k.id, on)}
          />
        ))}
      </Stack>
      <Tick label="With a spare of what one mistake ruins" checked={spares} onChange={setSpares} />
      <Tick
        label="Blades are forged of a bar"
        checked={forged !== null}
        onChange={(on) => setForged(on ? BAR : null)}
      />
      {forged && (
        <>
          <LengthField
            label="Bar's width"
            mm={forged.widthMm}
            min={3}
            max={500}
            onChange={(widthMm) => setForged({ ...forged, widthMm })}
          />
          <LengthField
            label="Bar's thickness"
            mm={forged.thicknessMm}
            min={1}
            max={100}
            onChange={(thicknessMm) => setForged({ ...forged, thicknessMm })}
          />
          <LengthField
            label="To grind off, each face"
            mm={forged.grindMm}
            min={0}
            max={10}
            onChange={(grindMm) => setForged({ ...forged, grindMm })}
          />
        </>
      )}
    </>
  );
}

function Items({ items }: { items: readonly ShoppingItem[] }) {
  const units = useUnits();
  const materialOf = useMaterialOf();
  const csv = async () => {
    const { writeCsv } = await import("@/core/exchange/files/csv/write");
    const text = writeCsv({
      columns: ["What", "Material", "Size", "Count", "For", "Spare"],
      rows: items.map((i) => [
        itemName(i, materialOf),
        itemMaterial(i, materialOf),
        itemSize(i, units),
        itemCount(i),
        i.for.join("; "),
        i.spare ? "yes" : "",
      ]),
    });
    download(new Blob([text], { type: "text/csv" }), "shopping.csv");
  };
  return (
    <>
      <Figures
        label="Shopping list"
        rows={items}
        keyOf={(_, i) => String(i)}
        none="Nothing has to be bought: the shelf has all of it."
        columns={[
          { name: "What", of: (i) => itemName(i, materialOf) },
          { name: "Material", of: (i) => itemMaterial(i, materialOf) },
          { name: "Size", of: (i) => itemSize(i, units) },
          { name: "Count", number: true, of: itemCount },
          { name: "For", of: (i) => i.for.join(", ") },
        ]}
      />
      {items.length > 0 && (
        <Flex>
          <Button size="sm" variant="outline" onClick={() => void attempt("The list was not written", csv)}>
            <Download /> Save as CSV
          </Button>
        </Flex>
      )}
    </>
  );
}
