import type { Entry, FileEntry } from "@zip.js/zip.js";
import { BackupRefused } from "./format";

/** A file in a ZIP, by what its directory says. */
export interface ZipPart {
  readonly bytes: number;
  readonly packedBytes: number;
  readonly entry: FileEntry;
}

/** The library, which is fetched when a ZIP is written or read. */
export async function zipLibrary() {
  const zip = await import("@zip.js/zip.js");
  // We are in a worker already, and it may start none of its own.
  zip.configure({ useWebWorkers: false });
  return zip;
}

/** Opens a ZIP by its directory; what is in it is read when it is asked for. Throws `BackupRefused` of what is none. */
export async function openZip(file: Blob, mostEntries: number) {
  const { BlobReader, ZipReader } = await zipLibrary();
  const reader = new ZipReader(new BlobReader(file), { checkSignature: true, checkOverlappingEntry: true });
  const entries = new Map<string, ZipPart>();
  try {
    for await (const entry of reader.getEntriesGenerator()) {
      if (entry.directory) continue;
      if (entries.size >= mostEntries) throw new BackupRefused({ ok: false, code: "too-large" });
      const plain = !entry.encrypted && !entries.has(entry.filename);
      if (!plain) throw new BackupRefused({ ok: false, code: "damaged", file: nameOf(entry) });
      const { uncompressedSize: bytes, compressedSize: packedBytes } = entry;
      entries.set(entry.filename, { bytes, packedBytes, entry });
    }
  } catch (error) {
    if (error instanceof BackupRefused) throw error;
    throw new BackupRefused({ ok: false, code: "incomplete" });
  }
  return {
    entries: entries as ReadonlyMap<string, ZipPart>,
    /** Hands a file's bytes on piece by piece; throws as soon as they are more than `most`, or damaged. */
    stream: async (
      part: ZipPart,
      most: number,
      take: (piece: Uint8Array) => Promise<void> | void,
    ): Promise<void> => {
      let bytes = 0;
      let thrown: unknown = null;
      const sink = new WritableStream<Uint8Array>({
        write: async (piece) => {
          bytes += piece.length;
          try {
            if (bytes > most) throw new BackupRefused({ ok: false, code: "too-large" });
            await take(piece);
          } catch (error) {
            thrown = error;
            throw error;
          }
        },
      });
      try {
        await part.entry.getData(sink);
      } catch {
        if (thrown !== null) throw thrown;
        throw new BackupRefused({ ok: false, code: "damaged", file: nameOf(part.entry) });
      }
    },
    close: () => reader.close(),
  };
}

const nameOf = (entry: Entry) => entry.filename.slice(0, 80);
