import type { Work } from "../../base/work";
import type { Drawing } from "../../geometry/contours/drawing";
import type { DrawingReading } from "../../geometry/contours/raw";

/** A format of flat drawings: bytes in, text out. Its readers and writers are loaded when they are asked for. */
interface DrawingFormat {
  /** As people call it. */
  readonly name: string;
  readonly type: string;
  readonly read: () => Promise<(bytes: Uint8Array, work?: Work) => DrawingReading>;
  readonly write: () => Promise<(drawing: Drawing) => string>;
}

/** All of them, by the ending of their files. Adding one is its folder and an entry here. */
export const DRAWING_FORMATS = {
  dxf: {
    name: "DXF",
    type: "application/dxf",
    read: async () => (await import("./dxf/read")).readDxf,
    write: async () => (await import("./dxf/write")).writeDxf,
  },
  svg: {
    name: "SVG",
    type: "image/svg+xml",
    read: async () => (await import("./svg/read")).readSvg,
    write: async () => (await import("./svg/write")).writeSvg,
  },
} as const satisfies Readonly<Record<string, DrawingFormat>>;

export type DrawingFormatId = keyof typeof DRAWING_FORMATS;
export const DRAWING_FORMAT_IDS = Object.keys(DRAWING_FORMATS) as DrawingFormatId[];

/** The format of a file by its ending; null of another. */
export function drawingFormatOf(file: string): DrawingFormatId | null {
  const ending = file.slice(file.lastIndexOf(".") + 1).toLowerCase();
  return DRAWING_FORMAT_IDS.find((id) => id === ending) ?? null;
}

/** What a file dialog offers for them. */
export const DRAWING_ENDINGS = DRAWING_FORMAT_IDS.map((id) => `.${id}`).join(",");
/** "DXF or SVG" */
export const DRAWING_NAMES = DRAWING_FORMAT_IDS.map((id) => DRAWING_FORMATS[id].name).join(" or ");
