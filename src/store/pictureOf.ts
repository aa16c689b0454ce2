import type { PictureRecord } from "./rows";

const PRIME = 0x01000193;

/**
 * The id of a picture: two 32-bit FNV-1a hashes over its bytes, and how many they are. It tells pictures apart; it is no
 * protection against intent.
 * @see Fowler, Noll, Vo: IETF draft-eastlake-fnv (prime and offset of the 32-bit variant).
 */
export function pictureIdOf(bytes: Uint8Array): string {
  let low = 0x811c9dc5;
  let high = 0xcbf29ce4;
  for (let i = 0; i < bytes.length; i++) {
    low = Math.imul(low ^ bytes[i], PRIME);
    high = Math.imul(high ^ (bytes[i] + i), PRIME);
  }
  return `${[low, high].map((n) => (n >>> 0).toString(16).padStart(8, "0")).join("")}-${bytes.length}`;
}

/** A picture as it is kept. */
export function pictureOf(bytes: Uint8Array, type: string): PictureRecord {
  const data = new Blob([bytes as BlobPart], { type });
  return { id: pictureIdOf(bytes), type, data, createdAt: Date.now() };
}
