"use client";
import { nanoid } from "nanoid";
import { newLot } from "@/core/shelf/newLot";
import type { Lot } from "@/core/shelf/version";
import { type BroughtIn, bringIn } from "./bringIn";
import { pictureOf } from "./pictureOf";
import { sealedTable } from "./sealedTable";
import { LOTS, lotRows } from "./tables/lots";
import { PICTURE_TYPES } from "./tables/photos";
import type { Row } from "./tables/spec";
import { holdPicture } from "./unwritten";

/** A photo may have so many bytes. */
const LARGEST_PICTURE_BYTES = 20_000_000;

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
  if (!PICTURE_TYPES.includes(file.type)) throw new Error("A photo is a JPEG, PNG or WebP picture.");
  if (file.size > LARGEST_PICTURE_BYTES) throw new Error("A photo has 20 MB at most.");
  const picture = pictureOf(new Uint8Array(await file.arrayBuffer()), file.type);
  holdPicture(picture);
  const saved = await table.change(id, (lot) => ({ ...lot, picture: picture.id }));
  if (!saved.ok) throw new Error("The lot is gone.");
}

/** Puts a lot into the bin. Knives that are made of it keep its density. */
export const removeLot = table.remove;
