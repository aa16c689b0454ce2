import { DRAWING_NAMES, drawingFormatOf } from "@/core/exchange/files/drawings";
import { LARGEST_DRAWING_BYTES, MOST_POINTS } from "@/core/geometry/contours/raw";
import { drawingFailureWords } from "@/words/drawings";
import { markFailureWords } from "@/words/marks";
import { createPatternReader } from "@/workers/services";
import { fontFile } from "../../../../workers/fontFile";

export type ReadMark =
  | {
      readonly ok: true;
      readonly art: string;
      readonly heightMm: number | null;
      /** Lines that do not close, and are left out. */
      readonly open: number;
    }
  | { readonly ok: false; readonly reason: string };

/** What a DXF or SVG drawing fills, read in a worker. */
export async function markFromFile(file: File): Promise<ReadMark> {
  const format = drawingFormatOf(file.name);
  const refused = (reason: string): ReadMark => ({ ok: false, reason: `${file.name}: ${reason}` });
  if (!format) return refused(`it is no ${DRAWING_NAMES} drawing.`);
  if (file.size > LARGEST_DRAWING_BYTES)
    return refused(drawingFailureWords({ code: "too-large", bytes: file.size, most: LARGEST_DRAWING_BYTES }));
  const reader = createPatternReader();
  try {
    const bytes = new Uint8Array(await file.arrayBuffer());
    const read = await reader.ask((s) => s.readDrawing(bytes, format));
    if (!read.ok) return refused(`it could not be read: ${read.message}`);
    if (!read.value.ok) return refused(drawingFailureWords(read.value));
    const mark = await reader.ask((s) => s.markInDrawing());
    if (!mark.ok || !mark.value) return refused(`it could not be read: ${mark.ok ? "" : mark.message}`);
    if (mark.value.ok) return mark.value;
    return refused(
      mark.value.code === "too-much"
        ? drawingFailureWords({ code: "too-much", most: MOST_POINTS })
        : markFailureWords({ code: mark.value.code }),
    );
  } finally {
    reader.dispose();
  }
}

/** A line of text in bold letters; what outlines letters is loaded when it is asked for. */
export async function markFromText(text: string): Promise<ReadMark> {
  const [{ textArt }, { printArt }] = await Promise.all([
    import("@/core/exchange/files/font/textArt"),
    import("@/core/geometry/contours/art"),
  ]);
  const made = await textArt(text, fontFile);
  return made.ok
    ? { ok: true, art: printArt(made.art), heightMm: null, open: 0 }
    : { ok: false, reason: markFailureWords(made) };
}
