"use client";
import type { Design } from "@/core/design/schema";
import type { Variant } from "@/core/design/variant";
import { LARGEST_KNIFE_BYTES } from "@/core/files/knife/format";
import { writeKnifeWithin } from "@/core/files/knife/write";
import { notices } from "./shell/notice";

/** Hands a knife and its variants to the browser as a file to keep; says how many variants found no room in it. */
export function downloadKnife(design: Design, variants: readonly Variant[]): void {
  const { text, leftOut } = writeKnifeWithin(design, variants);
  download(new Blob([text], { type: "application/json" }), `${fileStem(design.name)}.euaxis.json`);
  if (leftOut === 0) return;
  notices.error({
    title: leftOut === 1 ? "One variant is not in the file" : `${leftOut} variants are not in the file`,
    description:
      "With their imported shapes the file would be too large to be opened. Export them by themselves.",
  });
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
  | { readonly ok: true; readonly design: Design; readonly variants: readonly Variant[] }
  | { readonly ok: false; readonly name: string; readonly reason: string };

/** Reads one chosen file. Oversized ones are refused by their size, before a byte is read. */
export async function openKnifeFile(file: File): Promise<Opened> {
  const bytes =
    file.size > LARGEST_KNIFE_BYTES
      ? new Uint8Array(LARGEST_KNIFE_BYTES + 1)
      : new Uint8Array(await file.arrayBuffer());
  // Fetched when a file is opened: the reader brings the validator.
  const [{ readKnife }, { fileFailureWords }] = await Promise.all([
    import("@/core/files/knife/read"),
    import("@/words/fileFailures"),
  ]);
  const reading = readKnife(bytes);
  if (reading.ok) return reading;
  const failure = reading.code === "too-large" ? { ...reading, bytes: file.size } : reading;
  return { ok: false, name: file.name, reason: fileFailureWords(failure) };
}
