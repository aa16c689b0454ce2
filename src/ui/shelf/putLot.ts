import type { Lot } from "@/core/shelf/version";

/** Changes some of what a lot says. */
export type PutLot = (to: Partial<Lot>) => void;
