import type { DecimalMark } from "@/core/exchange/files/csv/figures";
import type { StockReading } from "@/core/exchange/files/csv/readStock";
import type { KnifeReading } from "@/core/exchange/files/knife/read";
import type { PricesReading } from "@/core/exchange/files/prices/prices";
import type { Material, MaterialClass } from "@/core/materials/types";

/** What the worker answers to that reads files: nothing that comes in is read on the page. */
export interface FilesService {
  /** A knife file's content, checked. */
  openKnife(bytes: Uint8Array): KnifeReading;
  /** A table of materials and prices. */
  readStock(
    bytes: Uint8Array,
    materials: readonly Material[],
    classNames: readonly (readonly [string, MaterialClass])[],
    decimal: DecimalMark | null,
  ): StockReading;
  readPrices(bytes: Uint8Array): PricesReading;
}
