"use client";
import { db, type StoredUnderlay } from "./db";
import { ready, watched } from "./storage";
import { useKept } from "./useKept";

/** A photo under a knife's drawing, at true size. */
export interface Underlay {
  /** As a data address of a JPEG, PNG or WebP picture. */
  readonly picture: string;
  readonly widthMm: number;
  readonly heightMm: number;
  /** The photo's place, from its lower left corner up and to the right, that is the knife's datum. */
  readonly datumX: number;
  readonly datumY: number;
  readonly tipDeg: number;
  readonly mirrored: boolean;
  /** 0 is not seen, 1 as it is. */
  readonly opacity: number;
  readonly shown: boolean;
}

/** Longer pictures would make a backup that no browser takes in, letters. */
const LONGEST_PICTURE = 12_000_000;

const within = (value: unknown, least: number, most: number): value is number =>
  typeof value === "number" && value >= least && value <= most;

/** The underlay that a row holds; null of one that makes no sense. */
export function underlayIn(row: Partial<StoredUnderlay> | undefined): Underlay | null {
  const u = row?.underlay as Partial<Underlay> | undefined;
  if (typeof u !== "object" || u === null) return null;
  const { picture, widthMm, heightMm, datumX, datumY, tipDeg, mirrored, opacity, shown } = u;
  const sound =
    typeof picture === "string" &&
    /^data:image\/(jpeg|png|webp);base64,[A-Za-z0-9+/=]+$/.test(picture) &&
    picture.length <= LONGEST_PICTURE;
  if (!sound || !within(widthMm, 1, 10_000) || !within(heightMm, 1, 10_000)) return null;
  if (!within(datumX, -20_000, 20_000) || !within(datumY, -20_000, 20_000) || !within(tipDeg, -720, 720))
    return null;
  if (!within(opacity, 0, 1) || typeof mirrored !== "boolean" || typeof shown !== "boolean") return null;
  return { picture, widthMm, heightMm, datumX, datumY, tipDeg, mirrored, opacity, shown };
}

/** The photo under a knife; null where there is none. */
export function useUnderlay(knifeId: string): Underlay | null {
  const row = useKept(() => db.underlays.get(knifeId), [knifeId]);
  return underlayIn(row);
}

/** The photo under a knife, as it is kept. */
export async function underlayOf(knifeId: string): Promise<Underlay | null> {
  return underlayIn(await db.underlays.get(knifeId));
}

/** Puts a photo under a knife, in the place of what was there. False where the database did not take it. */
export async function putUnderlay(knifeId: string, underlay: Underlay): Promise<boolean> {
  await ready();
  return watched(`underlay ${knifeId}`, "the photo under a knife", async () => {
    await db.underlays.put({ id: knifeId, underlay, updatedAt: Date.now() });
  });
}

/** Changes how the photo under a knife is shown. */
export async function changeUnderlay(knifeId: string, change: Partial<Underlay>): Promise<boolean> {
  const now = await underlayOf(knifeId);
  return now ? putUnderlay(knifeId, { ...now, ...change }) : false;
}

/** Takes the photo under a knife away. */
export async function removeUnderlay(knifeId: string): Promise<boolean> {
  await ready();
  return watched(`underlay ${knifeId}`, "the photo under a knife", async () => {
    await db.underlays.delete(knifeId);
  });
}
