import type { FixedEdit } from "@/core/edit/fixed/edits";
import type { Design } from "@/core/knife/design/schema";

type PullEdit = Extract<FixedEdit, { readonly code: "pull" }>;

/** A change that is tried before it is kept. */
export interface Ghost {
  readonly edit: PullEdit;
  readonly design: Design;
  /** What it was made from: it goes away when that changes. */
  readonly of: Design;
}
