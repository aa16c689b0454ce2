import { DRAWING_NAMES, drawingFormatOf } from "@/core/exchange/files/drawings";
import type { LotOutline } from "@/core/exchange/pattern/lotOutline";
import { LARGEST_DRAWING_BYTES } from "@/core/geometry/contours/raw";
import { drawingFailureWords } from "@/words/drawings";
import { createPatternReader } from "@/workers/services";

/** The outline of a lot in a drawing file. Throws, in words, for what has none. */
export async function readOutline(file: File): Promise<LotOutline & { readonly hasUnit: boolean }> {
  const format = drawingFormatOf(file.name);
  if (!format) throw new Error(`An outline comes as ${DRAWING_NAMES}.`);
  if (file.size > LARGEST_DRAWING_BYTES)
    throw new Error(
      drawingFailureWords({ code: "too-large", bytes: file.size, most: LARGEST_DRAWING_BYTES }),
    );
  const bytes = new Uint8Array(await file.arrayBuffer());
  const reader = createPatternReader();
  try {
    const read = await reader.ask((s) => s.readDrawing(bytes, format));
    if (!read.ok) throw new Error(read.message);
    if (!read.value.ok) throw new Error(drawingFailureWords(read.value));
    const found = await reader.ask((s) => s.lotInDrawing());
    if (!found.ok) throw new Error(found.message);
    if (!found.value) throw new Error("No closed outline was found in it.");
    return { ...found.value, hasUnit: read.value.drawing.mmPerUnit !== null };
  } finally {
    reader.dispose();
  }
}
