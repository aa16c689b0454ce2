import type { Finding } from "@/core/figures/review/types";
import type { ProductDesign } from "@/core/knife/design/product";

/** Whose findings: what cannot be built, or the trade's rules, which are asked after the weighing. */
export type Source = "faults" | "trade";

/** Since which change of the knife each finding has been there. */
export interface Noticed {
  /** The state of the knife that was looked at last, and its number. */
  readonly of: ProductDesign | null;
  readonly change: number;
  readonly since: Readonly<Record<Source, ReadonlyMap<string, number>>>;
}

export const NOTHING_NOTICED: Noticed = {
  of: null,
  change: 0,
  since: { faults: new Map(), trade: new Map() },
};

/** What identifies a finding from one state of the knife to the next; of several alike, by their order. */
export function keysOf(findings: readonly Finding[]): string[] {
  const counts = new Map<string, number>();
  return findings.map(({ rule, subject, items, part, piece }) => {
    const key = JSON.stringify([rule, subject, items, part, piece]);
    const n = counts.get(key) ?? 0;
    counts.set(key, n + 1);
    return `${key} ${n}`;
  });
}

/** Takes down what was found of a state: what was there before keeps its number, what is gone is forgotten. */
export function notice(
  before: Noticed,
  of: ProductDesign,
  source: Source,
  found: readonly Finding[],
): Noticed {
  const change = before.of === of ? before.change : before.change + 1;
  const was = before.since[source];
  const now = new Map(keysOf(found).map((key) => [key, was.get(key) ?? change]));
  return { of, change, since: { ...before.since, [source]: now } };
}

/** Findings with the fixes that the same ones have elsewhere. */
export function withMends(found: readonly Finding[], mended: readonly Finding[]): readonly Finding[] {
  const keys = keysOf(mended);
  const fixes = new Map(mended.map((f, i) => [keys[i], f.fixes]));
  const own = keysOf(found);
  return found.map((f, i) => (fixes.has(own[i]) ? { ...f, fixes: fixes.get(own[i]) } : f));
}

const RANK = { error: 0, warning: 1, note: 2 } as const;

/** Findings in the order that they are shown: what cannot be built, then the newest first, warnings before notes. */
export function newestFirst(
  { since }: Noticed,
  faults: readonly Finding[],
  trade: readonly Finding[],
): Finding[] {
  const of = (found: readonly Finding[], source: Source) => {
    const keys = keysOf(found);
    return found.map((finding, i) => ({ finding, at: since[source].get(keys[i]) ?? 0 }));
  };
  return [...of(faults, "faults"), ...of(trade, "trade")]
    .sort(
      (a, b) =>
        Number(b.finding.severity === "error") - Number(a.finding.severity === "error") ||
        b.at - a.at ||
        RANK[a.finding.severity] - RANK[b.finding.severity],
    )
    .map(({ finding }) => finding);
}
