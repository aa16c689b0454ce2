"use client";
import { liveQuery } from "dexie";
import { useEffect } from "react";
import { createStore, useStore } from "zustand";
import { RECORD_VERSION } from "@/core/knife/design/version";
import type { OwnMaterial } from "@/core/materials/own/types";
import { checksumOf } from "./checksum";
import { db } from "./db";
import { keptTable, type Removed, type Saved } from "./keptTable";
import type { StoredMaterial } from "./rows";
import { ready, storage } from "./storage";
import { isReadableMaterial, MATERIALS_TABLE, materialNameIn, ownMaterialIn } from "./tables/materials";
import type { Row } from "./tables/spec";
import { unwrittenIn, withUnwritten } from "./unwritten";

interface OwnList {
  /** By name. */
  readonly materials: readonly OwnMaterial[];
  /** Names of those that cannot be read: they stay where they are. */
  readonly unreadable: readonly string[];
}

const table = keptTable<StoredMaterial>(MATERIALS_TABLE);
const shared = createStore<OwnList>(() => ({ materials: [], unreadable: [] }));

async function readAll(rows: readonly StoredMaterial[]): Promise<OwnList> {
  const sound = await Promise.all(rows.map(isReadableMaterial));
  return {
    materials: rows
      .filter((_, i) => sound[i])
      .map((r) => ownMaterialIn(r) as OwnMaterial)
      .sort((a, b) => a.name.localeCompare(b.name, "en")),
    unreadable: rows
      .filter((_, i) => !sound[i])
      .map((row) => materialNameIn(row as unknown as Row) ?? row.id),
  };
}

/** Rows as they were read last: what is not written is shown in their places. */
let read: readonly Row[] = [];
let turn = 0;

async function show(): Promise<void> {
  const mine = ++turn;
  const list = await readAll(withUnwritten(MATERIALS_TABLE, read) as unknown as StoredMaterial[]);
  // A later list has been read meanwhile.
  if (mine === turn) shared.setState(list);
}

async function readAgain(): Promise<void> {
  read = (await db.materials.toArray()) as unknown as Row[];
  await show();
}

let watching = false;

function watch(): void {
  if (watching) return;
  watching = true;
  const failed = (error: unknown) => {
    watching = false;
    console.error("the maker's own materials could not be read", error);
  };
  void ready().then(() => {
    liveQuery(() => db.materials.toArray()).subscribe({
      next: (rows) => {
        read = rows as unknown as Row[];
        void show().catch(failed);
      },
      error: failed,
    });
    // What waits is shown as it is, and no longer once it is released.
    storage.subscribe((now, before) => {
      if (now.waiting !== before.waiting) void show().catch(failed);
    });
  }, failed);
}

/** The maker's own materials, and what of them cannot be read; none until the database has answered. */
export function useOwnList(): OwnList {
  useEffect(watch, []);
  return useStore(shared);
}

/** The maker's own materials as they are known now. */
export const ownMaterials = (): readonly OwnMaterial[] => shared.getState().materials;

/** A material as a row, made from what the row was before; `null` of a new one. */
export function materialRow(own: OwnMaterial, before: StoredMaterial | null): StoredMaterial {
  const now = Date.now();
  return {
    id: own.id,
    material: own,
    version: RECORD_VERSION,
    checksum: checksumOf(own),
    createdAt: before?.createdAt ?? now,
    updatedAt: now,
    revision: before?.revision ?? 1,
  };
}

/** What stands of a material in the list, for whoever is going to change it. */
export const materialBase = (id: string): Promise<StoredMaterial | undefined> => table.row(id);

/**
 * Keeps a material in the maker's list. `base` is the row that it was changed from, null of a new one: what another tab
 * made of it meanwhile is answered, and nothing changed, with `onClash: "ask"`.
 */
export async function keepMaterial(
  own: OwnMaterial,
  base: StoredMaterial | null = null,
  onClash: "ask" | "keep-both" = "keep-both",
): Promise<Saved<StoredMaterial>> {
  await ready();
  const saved = table.save(base, materialRow(own, base), { onClash });
  void show();
  const result = await saved;
  await readAgain().catch(() => show());
  return result;
}

/** Takes materials into the list that it does not know, all of them together; those it knows stay as they are there. */
export async function learnMaterials(own: readonly OwnMaterial[]): Promise<void> {
  if (own.length === 0) return;
  await ready();
  const held = unwrittenIn(MATERIALS_TABLE.name);
  const here = new Set<string>(
    await db.materials
      .toCollection()
      .primaryKeys()
      .catch(() => []),
  );
  for (const m of own) if (!here.has(m.id) && !held.has(m.id)) await keepMaterial(m);
}

/** Takes a material out of the list into the bin, whether or not anything is made of it. */
export async function forgetMaterial({ id }: OwnMaterial): Promise<Removed> {
  await ready();
  const removed = await table.remove(id);
  await readAgain().catch(() => show());
  return removed;
}
