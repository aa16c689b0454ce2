import type { DrawingReading } from "@/core/contours/raw";

/** What the worker answers to that reads patterns. */
export interface PatternService {
  /** The lines of a drawing file's content. */
  readDrawing(bytes: Uint8Array, format: "dxf" | "svg"): DrawingReading;
}
