import { nanoid } from "nanoid";
import { readStock } from "@/core/files/csv/readStock";
import { readKnife } from "@/core/files/knife/read";
import { readPrices } from "@/core/files/prices/prices";
import { ownId } from "@/core/stock/own/make";
import type { FilesService } from "./files.messages";

/** What the files worker answers with: the core's own readers. */
export const filesService: FilesService = {
  openKnife: (bytes) => readKnife(bytes),
  readStock: (bytes, materials, classNames, decimal) =>
    readStock(bytes, { materials, classNames, nextId: () => ownId(nanoid(10)) }, decimal ?? undefined),
  readPrices: (bytes) => readPrices(bytes),
};
