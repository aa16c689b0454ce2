"use client";
import { liveQuery } from "dexie";
import { useEffect } from "react";
import { createStore, useStore } from "zustand";
import { DESIGN_VERSION } from "@/core/design/version";
import { isRecord } from "@/core/isRecord";
import type { OwnMaterial } from "@/core/stock/own/types";
import { checksumOf } from "./checksum";
import { db, type StoredMaterial } from "./db";
import { ready, watched } from "./storage";

interface OwnList {
  /** By name. */
  readonly materials: readonly OwnMaterial[];
  /** Names of those that cannot be read: they stay where they are. */
  readonly unreadable: readonly string[];
}

const shared = createStore<OwnList>(() => ({ materials: [], unreadable: [] }));

/** What was changed and is not written yet: a definition, or null of what was deleted. */
const unwritten = new Map<string, OwnMaterial | null>();
/** As it was read last. */
let read: OwnList = shared.getState();

function show(): void {
  const kept = read.materials.filter((m) => !unwritten.has(m.id));
  const mine = [...unwritten.values()].flatMap((m) => m ?? []);
  const materials = [...kept, ...mine].sort((a, b) => a.name.localeCompare(b.name, "en"));
  shared.setState({ materials, unreadable: read.unreadable });
}

/**
 * Whether a row holds a material that a knife could carry: as it is where its checksum says that this version checked and
 * wrote it. The checker is fetched only for others.
 */
export async function isReadableMaterial(row: Partial<StoredMaterial>): Promise<boolean> {
  const { id, material, version, checksum } = row;
  if (version === DESIGN_VERSION && checksum !== undefined && checksum === checksumOf(material))
    return isRecord(material) && material.id === id;
  const { ownMaterial } = await import("@/core/design/record/material");
  const parsed = ownMaterial.safeParse(material);
  return parsed.success && parsed.data.id === id;
}

async function readAll(rows: readonly StoredMaterial[]): Promise<OwnList> {
  const sound = await Promise.all(rows.map(isReadableMaterial));
  return {
    materials: rows.filter((_, i) => sound[i]).map((r) => r.material as OwnMaterial),
    unreadable: rows
      .filter((_, i) => !sound[i])
      .map(({ material, id }) =>
        isRecord(material) && typeof material.name === "string" ? material.name.slice(0, 60) : id,
      ),
  };
}

let watching = false;

function watch(): void {
  if (watching) return;
  watching = true;
  const failed = (error: unknown) => {
    watching = false;
    console.error("the maker's own materials could not be read", error);
  };
  void ready().then(
    () =>
      liveQuery(() => db.materials.toArray()).subscribe({
        next: (rows) =>
          void readAll(rows).then((list) => {
            read = list;
            show();
          }, failed),
        error: failed,
      }),
    failed,
  );
}

/** The maker's own materials, and what of them cannot be read; none until the database has answered. */
export function useOwnList(): OwnList {
  useEffect(watch, []);
  return useStore(shared);
}

/** The maker's own materials as they are known now. */
export const ownMaterials = (): readonly OwnMaterial[] => shared.getState().materials;

async function write(id: string, name: string): Promise<boolean> {
  show();
  return watched(`material ${id}`, name, async () => {
    const latest = unwritten.get(id);
    if (latest === undefined) return;
    await db.transaction("rw", db.materials, async () => {
      if (latest === null) return db.materials.delete(id);
      const createdAt = (await db.materials.get(id))?.createdAt ?? Date.now();
      await db.materials.put({
        id,
        material: latest,
        version: DESIGN_VERSION,
        checksum: checksumOf(latest),
        createdAt,
        updatedAt: Date.now(),
      });
    });
    if (unwritten.get(id) !== latest) return;
    unwritten.delete(id);
    read = {
      ...read,
      materials: [...read.materials.filter((m) => m.id !== id), ...(latest ? [latest] : [])],
    };
    show();
  });
}

/** Keeps a material in the maker's list, new or in the place of what had its id. */
export async function keepMaterial(own: OwnMaterial): Promise<boolean> {
  await ready();
  unwritten.set(own.id, own);
  return write(own.id, own.name);
}

/** Takes materials into the list that it does not know; those it knows stay as they are there. */
export async function learnMaterials(own: readonly OwnMaterial[]): Promise<void> {
  if (own.length === 0) return;
  await ready();
  const here = new Set<string>(
    await db.materials
      .toCollection()
      .primaryKeys()
      .catch(() => []),
  );
  for (const m of own) if (!here.has(m.id) && !unwritten.has(m.id)) await keepMaterial(m);
}

/** Takes a material out of the list, whether or not anything is made of it. */
export async function forgetMaterial({ id, name }: OwnMaterial): Promise<boolean> {
  await ready();
  unwritten.set(id, null);
  return write(id, name);
}
