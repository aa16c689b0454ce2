"use client";
import { keptTable, type Removed, type Saved } from "./keptTable";
import { ownSince } from "./ownSince";
import { pictureOf } from "./pictureOf";
import type { StoredUnderlay } from "./rows";
import { ready } from "./storage";
import { PHOTOS, type Underlay, underlayIn } from "./tables/photos";
import type { Row } from "./tables/spec";
import { useKept } from "./useKept";

const table = keptTable<StoredUnderlay>(PHOTOS);

const since = ownSince((seen: Underlay) => seen);

/** A photo as it is put under a knife: its picture is kept apart. */
export type NewUnderlay = Omit<Underlay, "picture"> & { readonly picture: Blob };

/** The photo under a knife; null where there is none. */
export function useUnderlay(knifeId: string): Underlay | null {
  const row = useKept(() => table.row(knifeId), [knifeId]);
  return underlayIn(row as Row | undefined);
}

/** The photo under a knife, as it is kept. */
export async function underlayOf(knifeId: string): Promise<Underlay | null> {
  return underlayIn((await table.row(knifeId)) as Row | undefined);
}

/**
 * Puts a photo under a knife, in the place of the one that was seen there, null of none. One that another tab put there
 * meanwhile lies in the bin then, as the replaced one does.
 */
export async function putUnderlay(
  knifeId: string,
  { picture, ...underlay }: NewUnderlay,
  seen: Underlay | null = null,
): Promise<Saved<StoredUnderlay>> {
  await ready();
  const kept = pictureOf(new Uint8Array(await picture.arrayBuffer()), picture.type);
  const base = seen && { id: knifeId, underlay: seen, updatedAt: 0 };
  const mine = { id: knifeId, underlay: { ...underlay, picture: kept.id }, updatedAt: Date.now() };
  return table.save(base, mine, { pictures: [kept] });
}

/** Changes how the photo under a knife is shown, from how it was seen. False where there is none any more. */
export async function changeUnderlay(
  knifeId: string,
  change: Partial<Underlay>,
  seen?: Underlay,
): Promise<boolean> {
  const from = seen && since.from(seen);
  if (seen && from) since.note(seen, { ...from, ...change });
  const saved = await table.change(knifeId, (now) => {
    if (!now) return null;
    const base = { ...now, underlay: from ?? underlayIn(now as unknown as Row) ?? {} };
    return { base, row: { ...base, underlay: { ...base.underlay, ...change } } };
  });
  if (seen && !saved.ok) since.forget(seen);
  return saved.ok;
}

/** Takes the photo under a knife away into the bin. */
export async function removeUnderlay(knifeId: string): Promise<Removed> {
  await ready();
  return table.remove(knifeId);
}
