import type { Design } from "@/core/knife/design/schema";
import type { Session } from "./session";

/** Types another thickness of the spine of a knife with a fixed blade, as an edit by itself or as part of a gesture. */
export const spine = (session: Session | Session<Design>, mm: number, gesture?: string) =>
  (session as Session<Design>).getState().edit({ code: "set", path: "blade.spineMm", to: mm }, { gesture });
