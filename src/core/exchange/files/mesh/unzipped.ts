import { Inflate } from "fflate";

/** Where a package's directory says that a file's bytes lie. */
interface Entry {
  readonly name: string;
  /** 0 stored as it is, 8 deflated. */
  readonly method: number;
  readonly at: number;
  readonly packedBytes: number;
}

const DIRECTORY_END = 0x06054b50;
const DIRECTORY_ENTRY = 0x02014b50;
const MOST_ENTRIES = 1000;

/**
 * The files that a ZIP package lists, without unpacking any; null where it has no directory. What a package says of the
 * sizes of its files is not relied on.
 * @see PKWARE APPNOTE 6.3, sections 4.3.12 and 4.3.16.
 */
export function zipEntries(bytes: Uint8Array): readonly Entry[] | null {
  const view = new DataView(bytes.buffer, bytes.byteOffset, bytes.byteLength);
  let end = bytes.length - 22;
  while (end >= 0 && end > bytes.length - 66_000 && view.getUint32(end, true) !== DIRECTORY_END) end--;
  if (end < 0 || view.getUint32(end, true) !== DIRECTORY_END) return null;
  const count = Math.min(MOST_ENTRIES, view.getUint16(end + 10, true));
  const entries: Entry[] = [];
  let at = view.getUint32(end + 16, true);
  for (let i = 0; i < count; i++) {
    if (at + 46 > bytes.length || view.getUint32(at, true) !== DIRECTORY_ENTRY) return null;
    const [nameBytes, extraBytes, noteBytes] = [28, 30, 32].map((k) => view.getUint16(at + k, true));
    const local = view.getUint32(at + 42, true);
    if (local + 30 > bytes.length) return null;
    entries.push({
      name: new TextDecoder().decode(bytes.subarray(at + 46, at + 46 + nameBytes)),
      method: view.getUint16(at + 10, true),
      at: local + 30 + view.getUint16(local + 26, true) + view.getUint16(local + 28, true),
      packedBytes: view.getUint32(at + 20, true),
    });
    at += 46 + nameBytes + extraBytes + noteBytes;
  }
  return entries;
}

/** Packed bytes handed to the unpacker at a time: a thousand times as many may come out, and are counted then. */
const STEP_BYTES = 2_048;

/**
 * Unpacks one file piece by piece and hands the pieces on; stops as soon as more than `mostBytes` came out, or the
 * receiver answers false. False where that happened, or the data is damaged.
 */
export function unpack(
  bytes: Uint8Array,
  { at, method, packedBytes }: Entry,
  mostBytes: number,
  receive: (piece: Uint8Array) => boolean,
): boolean {
  const packed = bytes.subarray(at, at + packedBytes);
  if (packed.length < packedBytes) return false;
  let out = 0;
  let goesOn = true;
  const take = (piece: Uint8Array) => {
    out += piece.length;
    if (goesOn) goesOn = out <= mostBytes && receive(piece);
  };
  if (method !== 0 && method !== 8) return false;
  const inflate = method === 8 ? new Inflate(take) : null;
  for (let i = 0; i < packed.length && goesOn; i += STEP_BYTES) {
    const piece = packed.subarray(i, i + STEP_BYTES);
    if (inflate) inflate.push(piece, i + STEP_BYTES >= packed.length);
    else take(piece);
  }
  return goesOn;
}
