"use client";
import { LARGEST_KNIFE_BYTES } from "@/core/exchange/files/knife/format";
import type { KnifeReading } from "@/core/exchange/files/knife/read";
import { writeKnifeWithin } from "@/core/exchange/files/knife/write";
import type { ProductDesign } from "@/core/knife/design/product";
import type { Variant } from "@/core/knife/design/variant";
import { allVariantsOf } from "@/store/variants";
import { byCount } from "@/words/grammar";
import type { Client } from "@/workers/client";
import type { FilesService } from "@/workers/files.messages";
import { notices } from "../kit/notice";

/** Hands a knife and its variants to the browser as a file to keep; says how many variants found no room in it. */
export function downloadKnife(design: ProductDesign, variants: readonly Variant[]): void {
  const { text, leftOut } = writeKnifeWithin(design, variants);
  download(new Blob([text], { type: "application/json" }), `${fileStem(design.name)}.euaxis.json`);
  if (leftOut === 0) return;
  notices.error({
    title: byCount(leftOut, "One variant is not in the file", `${leftOut} variants are not in the file`),
    description:
      "With their imported shapes the file would be too large to be opened. Export them by themselves.",
  });
}

/**
 * The same for a knife of the rack or the bench. Where the database cannot be asked for its variants, or some are
 * damaged, the file has the rest, and what is missing is said.
 */
export async function exportKnife(knifeId: string, design: ProductDesign): Promise<void> {
  const variants = await allVariantsOf(knifeId).catch((error: unknown) => {
    console.error("the variants could not be read", error);
    return null;
  });
  downloadKnife(design, variants?.records ?? []);
  if (variants && variants.damaged.length > 0)
    notices.error({
      title: "Damaged variants are not in the file",
      description: `${variants.damaged.map((d) => d.name).join(", ")}: Compare lists them, and why.`,
    });
  if (!variants)
    notices.error({
      title: "The variants are not in the file",
      description: "The browser's database cannot be read. The knife itself is whole.",
    });
}

/** A record as it lies in the database, for whoever can still make something of it. */
export function downloadRaw(name: string, raw: unknown): void {
  const text = `${JSON.stringify(raw, null, 2)}\n`;
  download(new Blob([text], { type: "application/json" }), `${fileStem(name)}.raw.json`);
}

/** Hands bytes to the browser as a file to keep. */
export function download(blob: Blob, name: string): void {
  const url = URL.createObjectURL(blob);
  const link = document.createElement("a");
  link.href = url;
  link.download = name;
  link.click();
  // A large file takes its time to be written.
  setTimeout(() => URL.revokeObjectURL(url), 120_000);
}

/** A file name that every system takes. */
export function fileStem(name: string): string {
  const plain = name
    .normalize("NFKD")
    .split(/[^A-Za-z0-9]/)
    .filter((word) => word !== "")
    .join("-");
  return plain.slice(0, 60).toLowerCase() || "knife";
}

export type Opened =
  | { readonly ok: true; readonly design: ProductDesign; readonly variants: readonly Variant[] }
  | { readonly ok: false; readonly name: string; readonly reason: string };

/** One worker reads all files of a page. */
let reader: Client<FilesService> | null = null;

async function readingOf(bytes: Uint8Array): Promise<KnifeReading | { readonly failed: string }> {
  reader ??= (await import("@/workers/services")).createFileReader();
  const answer = await reader.ask((s) => s.openKnife(bytes));
  return answer.ok ? answer.value : { failed: answer.message };
}

/** Reads one chosen file. Oversized ones are refused by their size, before a byte is read. */
export async function openKnifeFile(file: File): Promise<Opened> {
  const bytes =
    file.size > LARGEST_KNIFE_BYTES
      ? new Uint8Array(LARGEST_KNIFE_BYTES + 1)
      : new Uint8Array(await file.arrayBuffer());
  const [reading, { fileFailureWords }] = await Promise.all([
    readingOf(bytes),
    import("@/words/fileFailures"),
  ]);
  if ("failed" in reading)
    return { ok: false, name: file.name, reason: `It could not be read: ${reading.failed}.` };
  if (reading.ok) return reading;
  const failure = reading.code === "too-large" ? { ...reading, bytes: file.size } : reading;
  return { ok: false, name: file.name, reason: fileFailureWords(failure) };
}
