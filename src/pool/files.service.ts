import { nanoid } from "nanoid";
import { readStock } from "@/core/exchange/files/csv/readStock";
import { readKnife } from "@/core/exchange/files/knife/read";
import { readPrices } from "@/core/exchange/files/prices/prices";
import { ownId } from "@/core/materials/own/make";
import type { FilesService } from "../workers/files.messages";

/** What the files worker answers with: the core's own readers. */
export const filesService: FilesService = {
  openKnife: (bytes) => readKnife(bytes),
  readStock: (bytes, materials, classNames, decimal) =>
    readStock(bytes, { materials, classNames, nextId: () => ownId(nanoid(10)) }, decimal ?? undefined),
  readPrices: (bytes) => readPrices(bytes),
};
