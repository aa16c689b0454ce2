import { isRecord } from "../../../base/isRecord";
import type { Loose } from "./loose";

/** Where the hand held a knife was one grip without a name. */
export function toVersion15(record: Loose): Loose {
  const { use } = record;
  if (!isRecord(use) || !("gripMm" in use)) return record;
  const { gripMm, ...rest } = use;
  const windows = { momentNmm: null, percussionMm: null, effectiveMassG: null };
  return { ...record, use: { ...rest, grips: [{ id: "grip-1", name: "Working", xMm: gripMm, ...windows }] } };
}
