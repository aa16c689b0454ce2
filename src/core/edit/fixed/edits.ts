import type { PathTo } from "../../base/record/path";
import type { Design } from "../../knife/design/schema";
import type { CommonEdit } from "../common";
import type { EditOf } from "../table";
import { BLADE_EDITS } from "./bladeEdits";
import { GUARD_EDITS } from "./guardEdits";
import { HANDLE_EDITS } from "./handleEdits";
import { OTHER_EDITS } from "./otherEdits";
import { POINT_EDITS } from "./pointEdits";

/** What can be done to a knife with a fixed blade, besides what can be done to every design. */
export const FIXED_EDITS = {
  ...BLADE_EDITS,
  ...HANDLE_EDITS,
  ...GUARD_EDITS,
  ...OTHER_EDITS,
  ...POINT_EDITS,
};

export type FixedPath<V = unknown> = PathTo<Design, V>;
type ListPath = FixedPath<readonly unknown[]>;

/** The edits of every design, with the paths that a knife with a fixed blade has. */
type FixedCommon<E extends CommonEdit = CommonEdit> = E extends { readonly path: string }
  ? Omit<E, "path"> & { readonly path: FixedPath }
  : E extends { readonly list: string }
    ? Omit<E, "list"> & { readonly list: ListPath }
    : E extends { readonly design: unknown }
      ? Omit<E, "design"> & { readonly design: Design }
      : E;

export type FixedEdit = EditOf<typeof FIXED_EDITS> | FixedCommon;

declare module "../table" {
  interface EditsByKind {
    readonly fixed: FixedEdit;
  }
}
