"use client";
import { useEffect, useRef, useState } from "react";
import type { DecimalMark } from "@/core/exchange/files/csv/figures";
import { LARGEST_TABLE_BYTES } from "@/core/exchange/files/csv/limits";
import type { StockReading } from "@/core/exchange/files/csv/readStock";
import { bringIn } from "@/store/bringIn";
import { incomingMaterials, incomingPrices, NoRoomForPrices } from "@/store/incoming";
import { CLASS_NAMES, stockFailureWords } from "@/words/stockTables";
import type { Client } from "@/workers/client";
import type { FilesService } from "@/workers/files.messages";
import { createFileReader } from "@/workers/services";
import { noticeBroughtIn } from "../files/bringTogether";
import { useMaterials } from "../kit/materials";
import { attempt, notices } from "../kit/notice";

type Read = Extract<StockReading, { ok: true }>;
type Ambiguous = Extract<StockReading, { code: "ambiguous" }>;

export interface StockTableState {
  readonly read: Read | null;
  readonly wrong: string | null;
  /** A column whose decimal mark has to be asked for. */
  readonly ambiguous: Ambiguous | null;
  readonly decimal: DecimalMark | "ask";
  /** What is done now; `cancel` is null of what ends by itself. */
  readonly working: {
    readonly says: string;
    readonly done: number | null;
    readonly cancel: (() => void) | null;
  } | null;
  readonly open: (file: File) => Promise<void>;
  readonly chooseDecimal: (mark: DecimalMark | "ask") => void;
  readonly take: () => Promise<void>;
  readonly close: () => void;
}

/** A table of materials and prices that is brought in: read in a worker, kept all together or not at all. */
export function useStockTable(): StockTableState {
  const materials = useMaterials();
  const [file, setFile] = useState<File | null>(null);
  const [reading, setReading] = useState<StockReading | null>(null);
  const [failed, setFailed] = useState<string | null>(null);
  const [working, setWorking] = useState<StockTableState["working"]>(null);
  const client = useRef<Client<FilesService> | null>(null);
  useEffect(() => () => client.current?.dispose(), []);

  const close = () => {
    client.current?.dispose();
    client.current = null;
    setFile(null);
    setReading(null);
    setFailed(null);
    setWorking(null);
  };
  const readFile = async (next: File, decimal: DecimalMark | null) => {
    close();
    setFile(next);
    if (next.size > LARGEST_TABLE_BYTES) return setReading({ ok: false, code: "too-large" });
    const mine = createFileReader();
    client.current = mine;
    setWorking({ says: `Reading ${next.name} …`, done: null, cancel: close });
    const bytes = new Uint8Array(await next.arrayBuffer());
    const answer = await mine.ask((s) => s.readStock(bytes, materials, CLASS_NAMES, decimal));
    // Called off, or another table was opened meanwhile.
    if (client.current !== mine) return;
    mine.dispose();
    client.current = null;
    setWorking(null);
    if (answer.ok) setReading(answer.value);
    else setFailed(`${next.name} could not be read: ${answer.message}`);
  };
  const read = reading?.ok ? reading : null;
  const ambiguous = reading && !reading.ok && reading.code === "ambiguous" ? reading : null;
  const refused =
    reading && !reading.ok && !ambiguous
      ? `${file?.name ?? "The table"}: ${stockFailureWords(reading)}`
      : null;
  const take = () =>
    attempt("Nothing was imported", async () => {
      if (!read) return;
      const own = read.rows.flatMap((r) => r.material ?? []);
      const prices = read.rows.flatMap((r) => r.price ?? []);
      const says = `Importing ${own.length} materials and ${prices.length} prices`;
      setWorking({ says, done: 0, cancel: null });
      try {
        const incoming = [...incomingMaterials(own), ...incomingPrices(prices)];
        const brought = await bringIn(incoming, (done) => setWorking({ says, done, cancel: null }));
        close();
        noticeBroughtIn(`${own.length} materials and ${prices.length} prices imported`, brought);
      } catch (error) {
        if (!(error instanceof NoRoomForPrices)) throw error;
        notices.error({ title: "Nothing was imported", description: "More than 1,000 prices find no room." });
      } finally {
        setWorking(null);
      }
    });
  return {
    read,
    wrong: failed ?? refused,
    ambiguous,
    decimal: "ask",
    working,
    open: (next) => readFile(next, null),
    chooseDecimal: (mark) => {
      if (file && mark !== "ask") void attempt("The table was not read", () => readFile(file, mark));
    },
    take,
    close,
  };
}
