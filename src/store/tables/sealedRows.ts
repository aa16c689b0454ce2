import type * as z from "zod/mini";
import { isRecord } from "@/core/base/isRecord";
import { own } from "@/core/base/own";
import { checksumOf } from "../checksum";
import { keyText, type Row } from "./spec";

/** A row that keeps one record of ours in a field, with the version and the checksum of what its writer had checked. */
export interface SealedRow {
  readonly id: string;
  readonly version: number;
  readonly checksum?: string;
  readonly createdAt: number;
  readonly updatedAt: number;
  readonly revision?: number;
}

/** How a table of such rows is read and written. `schema` is fetched only for rows that another version wrote, or none. */
export function sealedRows<T extends object>(spec: {
  readonly field: string;
  readonly version: number;
  readonly schema: () => Promise<z.ZodMiniType<T>>;
}) {
  const { field, version, schema } = spec;
  /** What a row holds that this version checked and wrote; null of another. */
  const sealedIn = (row: Row): T | null => {
    const record = own(row, field);
    const sealed =
      row.version === version && row.checksum !== undefined && row.checksum === checksumOf(record);
    return sealed && isRecord(record) ? (record as T) : null;
  };
  /** What a row holds, once it has been checked; null of what cannot be read. */
  const read = async (row: Row | undefined): Promise<T | null> => {
    if (!row || keyText(row.id) === null) return null;
    const record = own(row, field);
    if (!isRecord(record)) return null;
    const sealed = sealedIn(row);
    if (sealed) return sealed;
    if (typeof row.version === "number" && row.version > version) return null;
    const parsed = (await schema()).safeParse(record);
    return parsed.success ? (parsed.data as T) : null;
  };
  return {
    sealedIn,
    read,
    readable: async (row: Row) => (await read(row)) !== null,
    /** A record as a row, made from what the row was before; null of a new one. */
    rowOf: (id: string, record: T, before: SealedRow | null): SealedRow => {
      const now = Date.now();
      return {
        id,
        [field]: record,
        version,
        checksum: checksumOf(record),
        createdAt: before?.createdAt ?? now,
        updatedAt: now,
        revision: before?.revision ?? 1,
      };
    },
  };
}
