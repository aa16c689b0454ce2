import type { Design } from "@/core/design/schema";
import type { Weighing } from "@/core/weigh/weigh";

/** What the weighing worker answers to. */
export interface WeighService {
  weigh(design: Design): Weighing;
}

/** What a caller gets: a weighing, or why there is none. Never a rejected promise. */
export type WeighAnswer =
  | { readonly ok: true; readonly weighing: Weighing }
  | { readonly ok: false; readonly code: "superseded" | "disposed" }
  | { readonly ok: false; readonly code: "failed"; readonly message: string };
