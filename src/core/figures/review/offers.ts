import { valueAt } from "../../base/record/path";
import { assemble } from "../../knife/assembly/assemble";
import { keepsLocks, keepsMeasured } from "../../knife/design/marks";
import { refusalOf } from "../../knife/design/refusal";
import type { Design } from "../../knife/design/schema";
import { type Figures, figuresOf } from "../tune/effects";
import { faultsOf } from "../weigh/faults";
import { memoryOf } from "../weigh/momentsOf";
import type { PanelMemory } from "../weigh/panelMemory";
import { applyFix } from "./fixes";
import type { Change, Finding, Fix, Found, Offer } from "./types";

/** What a knife has against it: by what is said of what, and by how much it misses its limit. */
type Misses = ReadonlyMap<string, number>;

/** Least share of a miss, and least of its own unit, that counts as worse. */
const WORSE_SHARE = 0.02;
const WORSE_BY = 0.02;

/** Finds what stands against a design, without fixes. */
export type FindingsOf = (design: Design) => readonly Finding[];

const keyOf = ({ rule, subject }: Pick<Finding, "rule" | "subject">) => `${rule} ${subject}`;

/** A note on the order of work is not something that a change brings. */
const counts = (f: Finding) => f.severity !== "note" || f.rule === "outside-target";

function missesOf(findings: readonly Finding[]): Misses {
  return new Map(
    findings
      .filter(counts)
      .map((f) => [keyOf(f), f.measured !== null && f.limit !== null ? Math.abs(f.measured - f.limit) : 0]),
  );
}

/**
 * Tries every fix that a finding may have on the whole review: it is offered where it takes its finding away, brings no
 * other and makes none worse, can be built and kept, and leaves alone what is locked or was measured.
 */
export class Trials {
  private readonly before: Misses;
  private readonly faults: ReadonlySet<string>;
  private readonly now: Figures | null;
  /** What was weighed of the knife holds for a fix, but for what the fix changes. */
  private readonly memory: PanelMemory | null;

  constructor(
    private readonly design: Design,
    before: readonly Finding[],
    private readonly findingsOf: FindingsOf,
  ) {
    this.before = missesOf(before);
    this.faults = new Set(faultsOf(design).map(keyOf));
    this.now = figuresOf(design);
    this.memory = this.now && memoryOf(assemble(design));
  }

  /** The fixes of a finding that hold, each with what it sets and does. */
  offers(finding: Found): Offer[] {
    const known = new Set<string>();
    return finding.candidates.flatMap((fix) => {
      const said = JSON.stringify(fix);
      if (known.has(said)) return [];
      known.add(said);
      return this.tried(finding, fix) ?? [];
    });
  }

  private tried(finding: Found, fix: Fix): Offer | null {
    const { design, now } = this;
    const next = applyFix(design, fix);
    if (next === design || !now || refusalOf(next)) return null;
    if (!keepsLocks(design, next) || !keepsMeasured(design, next)) return null;
    if (faultsOf(next).some((f) => f.severity === "error" || !this.faults.has(keyOf(f)))) return null;
    // Weighed first: what the rules ask of the weight is known then.
    const then = figuresOf(next, this.memory);
    if (!then) return null;
    const after = missesOf(this.findingsOf(next));
    if (after.has(keyOf(finding))) return null;
    for (const [key, miss] of after) {
      const was = this.before.get(key);
      if (was === undefined || miss > was * (1 + WORSE_SHARE) + WORSE_BY) return null;
    }
    return {
      fix,
      changes: changesOf(design, fix),
      massG: then.massG - now.massG,
      balanceMm: then.balanceMm - now.balanceMm,
    };
  }
}

/** The numbers that a fix sets, where it does no more than that. */
export function changesOf(design: Design, fix: Fix): Change[] {
  if (fix.kind !== "set") return [];
  return fix.changes.flatMap(({ path, value }) => {
    const from = valueAt(design, path);
    return typeof from === "number" && from !== value ? [{ path, from, to: value }] : [];
  });
}
