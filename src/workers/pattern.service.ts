import { readDxf } from "@/core/files/dxf/read";
import { readSvg } from "@/core/files/svg/read";
import type { PatternService } from "./pattern.messages";

/** What the pattern worker answers with: the core's own functions. */
export const patternService: PatternService = {
  readDrawing: (bytes, format) => (format === "dxf" ? readDxf(bytes) : readSvg(bytes)),
};
