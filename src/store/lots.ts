"use client";
import { nanoid } from "nanoid";
import { newLot } from "@/core/shelf/newLot";
import type { Lot } from "@/core/shelf/version";
import { type BroughtIn, bringIn } from "./bringIn";
import { heldPhoto } from "./heldPhoto";
import { sealedTable } from "./sealedTable";
import { LOTS, lotRows } from "./tables/lots";
import type { Row } from "./tables/spec";

const table = sealedTable(LOTS, lotRows);

/** Every lot on the shelf, the oldest first; null before the database has answered. */
export function useLots(): readonly Lot[] | null {
  return table.useRecords();
}

export const allLots = table.records;

/** Keeps a new lot of something, and answers it. */
export async function addLot(of: string, name: string, rest: Partial<Lot> = {}): Promise<Lot> {
  const lot: Lot = { ...newLot(nanoid(12), of, name), ...rest };
  await table.add(lot.id, lot);
  return lot;
}

/** Takes in lots that came, all or none; those that are there already stay as they are. */
export const takeLots = (lots: readonly Lot[]): Promise<BroughtIn> =>
  bringIn(
    lots.map((lot) => ({
      spec: LOTS,
      key: lot.id,
      row: (now) => (now ? null : (lotRows.rowOf(lot.id, lot, null) as unknown as Row)),
    })),
  );

/** Changes a lot by a function of what it is now. */
export const changeLot = (id: string, by: (lot: Lot) => Lot) => table.change(id, by);

/** Keeps a photo with a lot, in the place of the one that was there. Throws for what is no photo. */
export async function putLotPicture(id: string, file: Blob): Promise<void> {
  const picture = await heldPhoto(file);
  const saved = await table.change(id, (lot) => ({ ...lot, picture }));
  if (!saved.ok) throw new Error("The lot is gone.");
}

/** Puts a lot into the bin. Knives that are made of it keep its density. */
export const removeLot = table.remove;
