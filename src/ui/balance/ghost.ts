import type { Design } from "@/core/design/schema";

/** A change that is tried before it is kept. */
export interface Ghost {
  readonly label: string;
  readonly design: Design;
  /** What it was made from: it goes away when that changes. */
  readonly of: Design;
}
