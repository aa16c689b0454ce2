import { DESIGN_VERSION, type Design } from "../../design/schema";
import { KNIFE_FORMAT } from "./format";

/** A knife as the text of an open JSON file, two-space indented, UTF-8 when encoded. */
export function writeKnife(design: Design): string {
  return `${JSON.stringify({ format: KNIFE_FORMAT, version: DESIGN_VERSION, knife: design }, null, 2)}\n`;
}
