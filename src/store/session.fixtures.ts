import type { createSession } from "./session";

/** Types another thickness of the spine, as an edit by itself or as part of a gesture. */
export const spine = (session: ReturnType<typeof createSession>, mm: number, gesture?: string) =>
  session.getState().edit(
    "Change spine",
    (d) => {
      d.blade.spineMm = mm;
    },
    { gesture },
  );
