import type { Layout } from "./types";

/** Where a tang goes through, its own end opens the handle's rear: so much of its length has no wall to measure. */
const OPEN_SHARE = 0.12;

/** The rearmost station at which a through tang's hole has a wall round it. */
export function wallEnd({ buttX, frontX }: Pick<Layout, "buttX" | "frontX">): number {
  return buttX + OPEN_SHARE * (frontX - buttX);
}
