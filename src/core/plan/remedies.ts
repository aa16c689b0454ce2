import { holesOf } from "../knife/design/openings";
import type { Design } from "../knife/design/schema";
import type { Contradiction } from "./contradictions";
import { BLADE, GUARD, HANDLE, HEAT, TANG_HOLES } from "./doneOver";
import { TASKS, type TaskKind } from "./taskKinds";
import type { Task } from "./types";

/** How a contradiction is resolved: the design goes back to what was cut, or the work follows the design. */
export const REMEDY_CODES = [
  "as-cut",
  "cut-on",
  "weld-and-drill",
  "new-piece",
  "new-blade",
  "close-slot",
  "new-guard",
] as const;
export type RemedyCode = (typeof REMEDY_CODES)[number];

/** What is done to the design with it; none where it stays as it is. */
export type RemedyChange =
  | { readonly kind: "move-item"; readonly item: string; readonly xMm: number; readonly yMm: number }
  | { readonly kind: "old-hole"; readonly xMm: number; readonly yMm: number; readonly diameterMm: number }
  | {
      readonly kind: "size";
      readonly path: "blade.spineMm" | "blade.edgeMm" | "guard.aboveMm" | "guard.belowMm" | "guard.widthMm";
      readonly mm: number;
    }
  | { readonly kind: "steel"; readonly material: string };

/** A way to resolve a contradiction, with what it costs in work. */
export interface Remedy {
  readonly code: RemedyCode;
  readonly change: RemedyChange | null;
  /** What is done besides what is done over; null of nothing. */
  readonly task: TaskKind | null;
  /** What is done over. */
  readonly reopens: readonly TaskKind[];
  readonly activeMin: number;
  readonly waitMin: number;
  /** The piece that has to be cut anew: what is bought for it; null of none. */
  readonly piece: string | null;
}

/** A piece is finished again, too. */
const PIECE: readonly TaskKind[] = [...HANDLE, "sand-handle", "finish-handle"];

const PATHS = {
  "bar-thickness": "blade.spineMm",
  edge: "blade.edgeMm",
  "guard-above": "guard.aboveMm",
  "guard-below": "guard.belowMm",
  "guard-width": "guard.widthMm",
} as const;

/** A remedy with the minutes of all that it does over and that was done, and of what is done besides. */
function remedy(
  doneTasks: readonly Task[],
  code: RemedyCode,
  reopens: readonly TaskKind[],
  rest: Partial<Pick<Remedy, "change" | "task" | "piece">> = {},
): Remedy {
  const again = doneTasks.filter((t) => reopens.includes(t.kind));
  const task = rest.task ?? null;
  const spec = task && TASKS[task];
  const waits = spec && "waitMin" in spec ? spec.waitMin : 0;
  return {
    code,
    change: rest.change ?? null,
    task,
    reopens,
    piece: rest.piece ?? null,
    activeMin: again.reduce<number>((sum, t) => sum + t.activeMin, spec?.activeMin ?? 0),
    waitMin: again.reduce<number>((sum, t) => sum + t.waitMin, waits),
  };
}

/** The remedies of one contradiction, the cheapest first; `doneTasks` are those that are done. */
export function remediesOf(design: Design, c: Contradiction, doneTasks: readonly Task[]): readonly Remedy[] {
  const hard = doneTasks.some((t) => t.kind === "harden");
  const make = (code: RemedyCode, reopens: readonly TaskKind[], rest?: Parameters<typeof remedy>[3]) =>
    remedy(doneTasks, code, reopens, rest);
  const found = ((): Remedy[] => {
    switch (c.code) {
      case "hole-moved":
      case "hole-smaller":
      case "hole-gone": {
        const { was } = c;
        const back =
          c.code === "hole-moved" && was.item !== ""
            ? [
                make("as-cut", [], {
                  change: { kind: "move-item", item: was.item, xMm: was.xMm, yMm: was.yMm },
                }),
              ]
            : [];
        if (!inBlank(was.piece))
          return [...back, make("new-piece", PIECE, { piece: was.piece.split(" ")[0] })];
        const filled = design.tang.kind === "full" && !holesOf(design).some((h) => isNear(h, was));
        const change = filled
          ? ({ kind: "old-hole", xMm: was.xMm, yMm: was.yMm, diameterMm: was.diameterMm } as const)
          : null;
        const again = c.code === "hole-gone" ? [] : TANG_HOLES;
        // A weld takes the temper of what is round it: what was hard is hardened again, or softened there to be drilled.
        return [
          ...back,
          make("weld-and-drill", hard ? [...again, ...HEAT] : again, { task: "fill-holes", change }),
        ];
      }
      case "hole-missing":
      case "hole-larger":
      case "hole-deeper":
        return [make("cut-on", [c.kind])];
      case "hole-shallower":
        return [make("new-piece", PIECE, { piece: c.was.piece.split(" ")[0] })];
      case "outline-standing":
        return [make("cut-on", ["profile"])];
      case "outline-missing":
        return [make("new-blade", BLADE, { piece: "blade" })];
      case "size-standing":
        return [make("cut-on", [c.kind])];
      case "size-missing":
        return missing(c, make);
      case "other-material":
        return c.piece === "blade"
          ? [
              make("as-cut", [], { change: { kind: "steel", material: c.was } }),
              make("new-blade", BLADE, { piece: "blade" }),
            ]
          : [make("new-piece", c.piece.startsWith("guard") ? GUARD : PIECE, { piece: c.piece })];
      case "other-steel":
        return [
          make("as-cut", [], { change: { kind: "steel", material: c.was } }),
          make("new-blade", BLADE, { piece: "blade" }),
        ];
    }
  })();
  return found.sort((a, b) => a.activeMin - b.activeMin || a.waitMin - b.waitMin);
}

type Make = (code: RemedyCode, reopens: readonly TaskKind[], rest?: Parameters<typeof remedy>[3]) => Remedy;

function missing(c: Extract<Contradiction, { wasMm: number }>, make: Make): Remedy[] {
  const path = c.of in PATHS ? PATHS[c.of as keyof typeof PATHS] : null;
  const back = path ? [make("as-cut", [], { change: { kind: "size", path, mm: c.wasMm } })] : [];
  if (c.of.startsWith("slot"))
    return [
      ...back,
      make("close-slot", ["fit-guard", "check-guard"], { task: "close-slot" }),
      make("new-guard", GUARD, { piece: "guard" }),
    ];
  if (c.of.startsWith("guard")) return [...back, make("new-guard", GUARD, { piece: "guard" })];
  if (c.of === "bar-thickness" || c.of === "edge" || c.of === "thread" || ["butt", "tip"].includes(c.piece))
    return [...back, make("new-blade", BLADE, { piece: "blade" })];
  return [...back, make("new-piece", c.piece.startsWith("guard") ? GUARD : PIECE, { piece: c.piece })];
}

const inBlank = (piece: string): boolean => piece.split(" ")[0] === "blade";

const isNear = (h: { readonly xMm: number; readonly yMm: number }, at: typeof h): boolean =>
  Math.hypot(h.xMm - at.xMm, h.yMm - at.yMm) < 0.1;

/** The design with what a remedy changes of it. */
export function withRemedy(design: Design, change: RemedyChange): Design {
  switch (change.kind) {
    case "move-item": {
      const { item, xMm, yMm } = change;
      const moved = <T extends { readonly id: string }>(list: readonly T[]): T[] =>
        list.map((o) => (o.id === item ? { ...o, xMm, yMm } : o));
      const { tang } = design;
      return {
        ...design,
        fasteners: moved(design.fasteners),
        tang: tang.kind === "full" ? { ...tang, holes: moved(tang.holes) } : tang,
      };
    }
    case "old-hole": {
      const { tang } = design;
      if (tang.kind !== "full") return design;
      const { xMm, yMm, diameterMm } = change;
      const taken = new Set(tang.holes.map((h) => h.id));
      let n = 1;
      while (taken.has(`old-${n}`)) n++;
      const hole = {
        id: `old-${n}`,
        xMm,
        yMm,
        diameterMm,
        fill: design.blade.steel,
        purpose: "old-pin" as const,
      };
      return { ...design, tang: { ...tang, holes: [...tang.holes, hole] } };
    }
    case "size": {
      const [part, field] = change.path.split(".") as ["blade" | "guard", string];
      const of = design[part];
      return of ? { ...design, [part]: { ...of, [field]: change.mm } } : design;
    }
    case "steel":
      return { ...design, blade: { ...design.blade, steel: change.material } };
  }
}
