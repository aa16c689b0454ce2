"use client";
import { SimpleGrid, Stack } from "@chakra-ui/react";
import { isMaterial } from "@/core/shelf/newLot";
import type { Lot } from "@/core/shelf/version";
import { changeLot } from "@/store/lots";
import { useShop } from "@/store/shop";
import { DayField } from "../fields/DayField";
import { FieldRow } from "../fields/FieldRow";
import { LengthField } from "../fields/LengthField";
import { ShareField } from "../fields/ShareField";
import { Tick } from "../fields/Tick";
import { attempt } from "../kit/notice";
import { LotMore } from "./LotMore";
import { LotSizes } from "./LotSizes";
import { LotText } from "./LotText";
import type { PutLot } from "./putLot";

/** All that can be said of a lot; each change is kept at once. */
export function LotFields({ lot }: { lot: Lot }) {
  const put: PutLot = (to) =>
    void attempt("The lot was not changed", async () => {
      const saved = await changeLot(lot.id, (l) => ({ ...l, ...to }));
      if (!saved.ok) throw new Error("it is gone");
    });
  return (
    <SimpleGrid columns={{ base: 1, md: 2, xl: 3 }} gap="5">
      <LotSizes lot={lot} put={put} />
      <FactFields lot={lot} put={put} />
      <LotMore lot={lot} put={put} />
    </SimpleGrid>
  );
}

const _LONGEST_MM = 10_000;

const USUAL_OFF = { massOffG: 0.1, sizeOffMm: 0.1 };

function FactFields({ lot, put }: { lot: Lot; put: PutLot }) {
  const { weighed, shape } = lot;
  const { currency } = useShop();
  const box = shape.form === "rod" || (shape.form === "piece" && shape.outline === null);
  return (
    <Stack gap="1.5">
      <LotText needed label="Name" value={lot.name} most={60} onKeep={(name) => put({ name })} />
      {box && (
        <>
          <ShareField
            label="One of them weighs"
            value={weighed?.massG ?? null}
            min={0.01}
            max={100_000}
            unit="g"
            onChange={(massG) => put({ weighed: { ...USUAL_OFF, ...weighed, massG } })}
            onClear={() => put({ weighed: null })}
            help="Its density follows, and with it a narrower interval."
          />
          {weighed && (
            <>
              <ShareField
                label="Scale may be off"
                value={weighed.massOffG}
                min={0}
                max={1000}
                unit="g"
                onChange={(massOffG) => put({ weighed: { ...weighed, massOffG } })}
              />
              <LengthField
                label="Sizes may be off"
                mm={weighed.sizeOffMm}
                min={0}
                max={20}
                onChange={(sizeOffMm) => put({ weighed: { ...weighed, sizeOffMm } })}
              />
            </>
          )}
        </>
      )}
      {isMaterial(lot) && (
        <Tick
          label="What it is is a guess: try a piece first"
          checked={lot.guessed}
          onChange={(guessed) => put({ guessed })}
        />
      )}
      <ShareField
        label={`Price of one${currency ? `, ${currency}` : ""}`}
        value={lot.price}
        min={0}
        max={1_000_000}
        unit=""
        onChange={(price) => put({ price })}
        onClear={() => put({ price: null })}
      />
      <LotText label="Where it lies" value={lot.place} most={80} onKeep={(place) => put({ place })} />
      <Day label="Bought" value={lot.boughtOn} onChange={(boughtOn) => put({ boughtOn })} />
      <Day label="Opened" value={lot.openedOn} onChange={(openedOn) => put({ openedOn })} />
      <Day label="Best before" value={lot.bestBefore} onChange={(bestBefore) => put({ bestBefore })} />
    </Stack>
  );
}

const Day = (props: { label: string; value: string | null; onChange: (day: string | null) => void }) => (
  <FieldRow label={props.label}>
    <DayField value={props.value} onChange={props.onChange} />
  </FieldRow>
);
