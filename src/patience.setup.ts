import { vi } from "vitest";

/** For what never comes, ms: how long what is awaited takes depends on what else the machine does. */
const LONG = 60_000;

const { waitFor } = vi;
vi.waitFor = (what, options = LONG) => waitFor(what, options);
if (typeof document !== "undefined") {
  const { configure } = await import("@testing-library/react");
  configure({ asyncUtilTimeout: LONG });
}
