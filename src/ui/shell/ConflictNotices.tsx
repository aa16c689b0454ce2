"use client";
import { useEffect } from "react";
import { type Conflict, conflicts } from "@/store/conflicts";
import { capital } from "@/words/grammar";
import { attempt, notices } from "../kit/notice";

/** Tells what two tabs changed at the same time; both states can be had. */
export function ConflictNotices() {
  useEffect(() => {
    let shown = conflicts.getState().found.length;
    return conflicts.subscribe(({ found }) => {
      for (const conflict of found.slice(shown)) tell(conflict);
      shown = found.length;
    });
  }, []);
  return null;
}

function tell({ what, inBin, binId }: Conflict): void {
  const name = capital(what);
  const take = () =>
    void attempt("It could not be put back", async () => {
      const { putBack } = await import("@/store/bin");
      const answer = await putBack(binId);
      if (answer.ok) notices.success({ title: "The other state stands now; this one lies in the bin" });
      else notices.error({ title: "It could not be put back", description: "It lies in the bin no more." });
    });
  if (inBin === "theirs")
    notices.create({
      title: `${name}: changed in another tab too`,
      description: "What you did here stands. The other tab's state lies in the bin.",
      duration: 60_000,
      action: { label: "Take the other tab's", onClick: take },
    });
  else
    notices.create({
      title: `${name}: deleted in another tab`,
      description: "What you changed here lies in the bin.",
      duration: 60_000,
      action: { label: "Put mine back", onClick: take },
    });
}
