import { notices } from "./notice";

/** What taking something into the bin answers, and what putting it back takes. */
interface InBin {
  readonly ok: boolean;
  readonly binId?: string | null;
}

/** Says that something was taken out, and offers to put it back for as long as the notice stands. */
export const offerPutBack = (title: string, back: () => void, description?: string): void =>
  void notices.create({
    title,
    description,
    duration: 15_000,
    action: { label: "Put it back", onClick: back },
  });

/** Takes something into the bin, says so, and offers to put it back for as long as the notice stands. */
export async function offerBack(
  what: string,
  remove: () => Promise<InBin>,
  description?: string,
): Promise<void> {
  const still = () => notices.error({ title: `${what} is still there` });
  let removed: InBin;
  try {
    removed = await remove();
  } catch {
    return still();
  }
  const { binId } = removed;
  if (!removed.ok || !binId) return still();
  offerPutBack(
    `${what} is in the bin`,
    async () => {
      const { putBack } = await import("@/store/bin");
      const back = await putBack(binId).catch(() => ({ ok: false }));
      if (!back.ok)
        notices.error({ title: `${what} could not be put back`, description: "It lies in the bin." });
    },
    description,
  );
}
