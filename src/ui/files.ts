"use client";
import type { Design } from "@/core/design/schema";
import { LARGEST_KNIFE_BYTES } from "@/core/files/knife/format";
import { readKnife } from "@/core/files/knife/read";
import { writeKnife } from "@/core/files/knife/write";
import { fileFailureWords } from "@/words/fileFailures";

/** Hands a knife to the browser as a file to keep. */
export function downloadKnife(design: Design): void {
  download(
    new Blob([writeKnife(design)], { type: "application/json" }),
    `${fileStem(design.name)}.euaxis.json`,
  );
}

/** Hands bytes to the browser as a file to keep. */
export function download(blob: Blob, name: string): void {
  const url = URL.createObjectURL(blob);
  const link = document.createElement("a");
  link.href = url;
  link.download = name;
  link.click();
  setTimeout(() => URL.revokeObjectURL(url), 10_000);
}

/** A file name that every system takes. */
export function fileStem(name: string): string {
  const plain = name
    .normalize("NFKD")
    .replace(/[^A-Za-z0-9]+/g, "-")
    .replace(/^-+|-+$/g, "");
  return plain.slice(0, 60).toLowerCase() || "knife";
}

export type Opened =
  | { readonly ok: true; readonly design: Design }
  | { readonly ok: false; readonly name: string; readonly reason: string };

/** Reads one chosen file. Oversized ones are refused by their size, before a byte is read. */
export async function openKnifeFile(file: File): Promise<Opened> {
  const bytes =
    file.size > LARGEST_KNIFE_BYTES
      ? new Uint8Array(LARGEST_KNIFE_BYTES + 1)
      : new Uint8Array(await file.arrayBuffer());
  const reading = readKnife(bytes);
  if (reading.ok) return { ok: true, design: reading.design };
  const failure = reading.code === "too-large" ? { ...reading, bytes: file.size } : reading;
  return { ok: false, name: file.name, reason: fileFailureWords(failure) };
}
