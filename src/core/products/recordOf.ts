import type { ProductDesign } from "../knife/design/product";
import type { RecordSpec } from "./product";
import { RECORDS } from "./records";

/** The record of a kind that comes from outside; undefined where no product has it. */
export const recordOfKind = (kind: unknown): RecordSpec | undefined => RECORDS.find((r) => r.kind === kind);

/** The record of a design's product. Throws for one that was not read as a design. */
export function recordOf({ kind }: Pick<ProductDesign, "kind">): RecordSpec {
  const found = recordOfKind(kind);
  if (!found) throw new Error(`no product "${kind}"`);
  return found;
}
