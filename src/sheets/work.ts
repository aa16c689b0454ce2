import type { Figure } from "@/core/exchange/paper/item";
import type { Page } from "@/core/exchange/paper/page";
import { PHASES, phaseOf } from "@/core/plan/phases";
import { planOf } from "@/core/plan/planOf";
import { type PlannedTask, planState } from "@/core/plan/state";
import { figuresFor } from "@/core/plan/taskFigures";
import { needsOf } from "@/core/shelf/needs";
import { shoppingList, USUAL_SHOPPING } from "@/core/shelf/shopping";
import { balanceWords } from "@/words/balance";
import { printMinutes } from "@/words/money";
import { taskWords } from "@/words/plan";
import { PHASE_WORDS } from "@/words/schools";
import { itemCount, itemMaterial, itemName, itemSize } from "@/words/shelf";
import { figureWords } from "@/words/taskFigures";
import type { PageBuilder } from "./pageBuilder";

/** Every task in order with its figures, to tick off at the bench, and what has to be bought for the knife. */
export function workPages(builder: PageBuilder): Page[] {
  const { design, plan } = builder.source;
  const { tasks, activeMin, waitMin } = planState(planOf(design, plan.schools), plan);
  const figures = [
    builder.title("Order of work"),
    builder.text(`${printMinutes(activeMin)} of work left, besides ${printMinutes(waitMin)} of waiting.`),
    ...tasksOf(builder, tasks),
    ...toBuy(builder),
  ];
  return builder.flowed("work", figures, 1.2);
}

const COLUMNS = [
  { name: "", share: 0.35 },
  { name: "", share: 0.4, number: true },
  { name: "Task", share: 7 },
  { name: "Time", share: 1.6 },
];

/** A table for each part of the work: a row a task, and one for each of its figures. */
function tasksOf(builder: PageBuilder, tasks: readonly PlannedTask[]): Figure[] {
  const { design, report, units, recipes } = builder.source;
  const weight = { massG: report.massG, balance: balanceWords(report.balanceMm, design, units) };
  let at = 0;
  const parts = new Map<number, string[][]>();
  for (const [i, task] of tasks.entries()) {
    const { kind, title, of, activeMin, waitMin, state } = task;
    if (kind !== null) at = Math.max(at, PHASES.indexOf(phaseOf({ kind, of })));
    const name = kind === null ? (title ?? "") : taskWords({ kind, of });
    const time =
      waitMin > 0 ? `${printMinutes(activeMin)}, then ${printMinutes(waitMin)}` : printMinutes(activeMin);
    parts.set(at, [
      ...(parts.get(at) ?? []),
      [state === "done" ? "x" : "[  ]", String(i + 1), name, time],
      ...figuresFor(design, task, recipes).map((f) => ["", "", `– ${figureWords(f, units, weight)}`, ""]),
    ]);
  }
  return [...parts].flatMap(([phase, rows]) => [
    builder.heading(PHASE_WORDS[PHASES[phase]]),
    ...builder.table(COLUMNS, rows),
  ]);
}

function toBuy(builder: PageBuilder): Figure[] {
  const { design, report, plan, units } = builder.source;
  const needs = needsOf(design, report, plan.schools);
  // Of the shelf a sheet knows nothing: it lists all that the knife takes.
  const { items } = shoppingList([{ knife: design.name, needs }], [], {
    ...USUAL_SHOPPING,
    day: "0000-00-00",
  });
  return [
    builder.heading("What it takes"),
    ...builder.table(
      [
        { name: "What", share: 2.6 },
        { name: "Material", share: 2.6 },
        { name: "Size", share: 3.4 },
        { name: "Count", share: 0.8, number: true },
      ],
      items.map((i) => [
        itemName(i, builder.materialOf),
        itemMaterial(i, builder.materialOf),
        itemSize(i, units),
        String(itemCount(i)),
      ]),
    ),
  ];
}
