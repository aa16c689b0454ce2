/** What a notice says, how long it stays, and what can be done about it. */
export interface Notice {
  /** One of an id takes the place of the one before it. */
  readonly id?: string;
  readonly title: string;
  readonly description?: string;
  /** ms. */
  readonly duration?: number;
  readonly action?: { readonly label: string; readonly onClick: () => void };
}

let hasNotice = false;
const waiting = new Set<() => void>();

/** Calls back with the first notice, at once if there was one. Gives back how to stop waiting. */
export function whenFirstTold(call: () => void): () => void {
  if (hasNotice) call();
  else waiting.add(call);
  return () => waiting.delete(call);
}

function tell(kind: "success" | "error" | "info" | "create"): (notice: Notice) => void {
  return (notice) => {
    hasNotice = true;
    for (const call of waiting) call();
    waiting.clear();
    void import("./Toasts").then(({ toaster }) => toaster[kind](notice));
  };
}

/** Tells what happened, from anywhere. */
export const notices = {
  success: tell("success"),
  error: tell("error"),
  info: tell("info"),
  create: tell("create"),
};

/** Does something that may fail, and says so where it does: nothing fails without a word. */
export async function attempt(failure: string, work: () => Promise<unknown>): Promise<void> {
  try {
    await work();
  } catch (error) {
    console.error(failure, error);
    notices.error({ title: failure, description: error instanceof Error ? error.message : String(error) });
  }
}
