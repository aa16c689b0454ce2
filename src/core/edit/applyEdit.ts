import { freeze } from "immer";
import { COMMON_EDITS } from "./common";
import type { AnyEdit, EditTable } from "./table";

/**
 * A design with an edit applied, frozen: by its product's own table, or by the one of every product. The same design where the edit
 * has nothing to change. Throws for a code that neither has.
 */
export function applyEdit<D>(table: EditTable<D>, design: D, edit: AnyEdit): D {
  const { code } = edit;
  const apply =
    (Object.hasOwn(table, code) && table[code]) ||
    (Object.hasOwn(COMMON_EDITS, code) && COMMON_EDITS[code as keyof typeof COMMON_EDITS]);
  if (!apply) throw new Error(`no edit "${code}"`);
  return freeze((apply as (design: D, fields: AnyEdit) => D)(design, edit), true);
}
