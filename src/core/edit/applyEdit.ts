import { freeze } from "immer";
import { own } from "../base/own";
import { COMMON_EDITS } from "./common";
import type { AnyEdit, EditTable } from "./table";

/**
 * A design with an edit applied, frozen: by its product's own table, or by the one of every product. The same design where the edit
 * has nothing to change. Throws for a code that neither has.
 */
export function applyEdit<D>(table: EditTable<D>, design: D, edit: AnyEdit): D {
  const { code } = edit;
  const apply = own(table, code) ?? own(COMMON_EDITS, code);
  if (!apply) throw new Error(`no edit "${code}"`);
  return freeze((apply as (design: D, fields: AnyEdit) => D)(design, edit), true);
}
