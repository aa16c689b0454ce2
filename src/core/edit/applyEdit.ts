import { freeze } from "immer";
import { own } from "../base/own";
import { sameData } from "../base/sameData";
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
  const made = (apply as (design: D, fields: AnyEdit) => D)(design, edit);
  // Pins that are spread already, or a side that is like the other: nothing was done, and there is nothing to undo.
  // A whole design that is taken is that very design, even where it is like this one.
  if (!("design" in edit) && sameData(made, design)) return design;
  return freeze(made, true);
}
