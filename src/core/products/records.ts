import { fixedRecord } from "./fixedRecord";
import { anyRecord, type RecordSpec } from "./product";

/** How each product is recorded. Another product is a line here, in `models.ts`, and in the interface's list of products. */
export const RECORDS: readonly RecordSpec[] = [anyRecord(fixedRecord)];
