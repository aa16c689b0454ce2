import type { BroughtIn } from "@/store/bringIn";
import { attempt, notices } from "../kit/notice";

/** Says what was brought in, and takes all of it out again at one click. */
export function noticeBroughtIn(title: string, { undo }: BroughtIn): void {
  notices.success({
    id: "brought-in",
    title,
    duration: 30_000,
    action: {
      label: "Undo",
      onClick: () =>
        void attempt("It could not be undone", async () => {
          const { kept } = await undo();
          notices.success({
            id: "brought-in",
            title: "It is taken out again",
            description: kept > 0 ? `${kept} of it, changed since, stayed.` : undefined,
          });
        }),
    },
  });
}
