import { applyFix } from "../../figures/review/fixes";
import type { Fix } from "../../figures/review/types";
import { withLevers } from "../../figures/tune/levers";
import { markOf } from "../../knife/design/marks";
import type { Design, Job, KnifeState, UseKind, WorkshopPart } from "../../knife/design/schema";
import { withUse } from "../../knife/design/uses";
import { type Followed, joined, withShared } from "../../knife/design/workshop";
import { withBlankOf } from "../../line/blankOf";
import type { OwnMaterial } from "../../materials/own/types";
import { type RemedyChange, withRemedy } from "../../plan/remedies";
import { wayBack } from "../../plan/waysBack";
import { withPartsOf } from "../../shelf/madeOf";
import { COMMON_EDITS } from "../common";

/** Edits of the order, the shop, the use, names and locks; fixes, levers and patterns. */
export const OTHER_EDITS = {
  /** How far the knife has come, with the day of that unless one was said already. */
  "job-state": (design: Design, { state, day }: Readonly<{ state: KnifeState; day: string }>): Design => {
    const { job } = design;
    const done = state === "finished" || state === "gone";
    const days: Pick<Job, "begunOn" | "finishedOn"> = {
      begunOn: state === "planned" ? job.begunOn : (job.begunOn ?? day),
      finishedOn: done ? (job.finishedOn ?? day) : job.finishedOn,
    };
    return { ...design, job: { ...job, state, ...days } };
  },
  use: (design: Design, { kind }: Readonly<{ kind: UseKind }>): Design => ({
    ...design,
    use: withUse(design.use, kind),
  }),
  "name-item": (design: Design, { at, to }: Readonly<{ at: string; to: string | null; title: string }>) =>
    COMMON_EDITS.entry(design, { map: "names", key: markOf(design, at), to }),
  lock: (design: Design, { at, locks }: Readonly<{ at: string; locks: boolean }>): Design => {
    const mark = markOf(design, at);
    const others = design.locked.filter((l) => l !== mark);
    return { ...design, locked: locks ? [...others, mark] : others };
  },
  accept: (
    design: Design,
    { rule, subject, reason }: Readonly<{ rule: string; subject: string | null; reason: string }>,
  ) => COMMON_EDITS.add(design, { list: "fitUp.accepted", item: { rule, subject, reason } }),
  "take-back-acceptance": (
    design: Design,
    { rule, subject }: Readonly<{ rule: string; subject: string | null }>,
  ): Design => ({
    ...design,
    fitUp: {
      ...design.fitUp,
      accepted: design.fitUp.accepted.filter((a) => a.rule !== rule || a.subject !== subject),
    },
  }),
  "follow-workshop": (design: Design, { workshop }: Readonly<{ workshop: Followed; name: string }>) =>
    joined(design, workshop),
  "share-part": (design: Design, { part, workshop }: Readonly<{ part: WorkshopPart; workshop: Followed }>) =>
    withShared(design, part, workshop),
  /** A part that the workshop has taken over from the knife: it is the knife's own no more. */
  "part-is-shared": (design: Design, { part }: Readonly<{ part: WorkshopPart }>): Design => ({
    ...design,
    workshop: { ...design.workshop, own: design.workshop.own.filter((p) => p !== part) },
  }),
  fix: (design: Design, { fix }: Readonly<{ fix: Fix; rule: string }>) => applyFix(design, fix),
  /** Levers of the balance bench, each by so much. */
  pull: (design: Design, { amounts }: Readonly<{ amounts: Readonly<Record<string, number>> }>) =>
    withLevers(design, new Map(Object.entries(amounts))) ?? design,
  /** What stands at some places made of a lot of the shelf: its own density holds, and it is reserved. */
  "make-of-lot": (
    design: Design,
    { paths, material }: Readonly<{ paths: readonly string[]; material: OwnMaterial; lot: string }>,
  ) => withPartsOf(design, paths, material),
  /** A done task contradicts the design: the design with what resolves that. */
  resolve: (design: Design, { change }: Readonly<{ change: RemedyChange }>) => withRemedy(design, change),
  /** Something failed, and the way back changes the knife: by a length, mm. */
  "way-back": (design: Design, { way, mm }: Readonly<{ way: string; mm: number }>) =>
    wayBack(way)?.change?.(design, mm) ?? design,
  /** The knife on the blank that another grade of its line has. */
  "take-blank": (design: Design, { of }: Readonly<{ of: Design; grade: string }>) => withBlankOf(design, of),
  /** The knife with an outline of a pattern. */
  "take-pattern": (_: Design, { design }: Readonly<{ design: Design; role: string }>) => design,
};
