import type { Design, TangHole, TangSlot } from "./schema";

/** The round holes of a full tang; none of others. */
export function holesOf({ tang }: Design): readonly TangHole[] {
  return tang.kind === "full" ? tang.holes : [];
}

/** The slots of a full tang; none of others. */
export function slotsOf({ tang }: Design): readonly TangSlot[] {
  return tang.kind === "full" ? tang.slots : [];
}
