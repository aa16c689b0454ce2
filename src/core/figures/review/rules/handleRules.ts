import { upToTenth } from "../../../base/number";
import { ROUNDING } from "../../../base/tolerances";
import { assemble } from "../../../knife/assembly/assemble";
import { materialsIn } from "../../../knife/design/materials";
import type { Design } from "../../../knife/design/schema";
import { anodicIndex } from "../../../materials/working";
import { gluePlan } from "../../fit/glue";
import { bevelLeft, girths, gripLength } from "../../fit/hand";
import { movement } from "../../fit/movement";
import type { Found } from "../types";
import { found, PRACTICE, type Rule } from "./context";
import { cutShort, overpressed, stock, thin, washers } from "./stockRules";

const hand: Rule = {
  code: "handle-short-for-hand",
  limit: 10,
  unit: "mm",
  source: `${PRACTICE}: breadth across the knuckles and 10 to 15 mm`,
  check: (c) => {
    const grip = gripLength(c.design);
    const wanted = c.design.workshop.handMm + c.limit("handle-short-for-hand");
    if (grip >= wanted) return [];
    const reach = -c.layout.buttX;
    return [
      found("handle-short-for-hand", "warning", {
        measured: grip,
        limit: wanted,
        fix: { kind: "handle-length", mm: upToTenth(reach + wanted - grip) + 0.1 },
      }),
    ];
  },
};

/** Something that stops the hand: a guard, or a front that drops so far below the groove behind it. */
const DROP_MM = 3;

const finger: Rule = {
  code: "nothing-before-finger",
  limit: DROP_MM,
  unit: "mm",
  source: PRACTICE,
  check: (c) => {
    const { design } = c;
    if (!design.fitUp.thrust || design.guard) return [];
    const nodes = design.handle.outline;
    const front = nodes[nodes.length - 1];
    const ahead = nodes.filter((n) => n !== front && n.xMm > -45 && n.yMm < 0);
    const groove = Math.max(...ahead.map((n) => n.yMm), Number.NEGATIVE_INFINITY);
    const drop = Number.isFinite(groove) ? groove - front.yMm : 0;
    if (drop >= c.limit("nothing-before-finger")) return [];
    return [
      found("nothing-before-finger", "warning", {
        at: { x: front.xMm, y: front.yMm },
        measured: drop,
        limit: c.limit("nothing-before-finger"),
      }),
    ];
  },
};

const round: Rule = {
  code: "round-handle",
  limit: 1.2,
  unit: "ratio",
  source: `${PRACTICE}: clearly taller than thick, about 1.2 to 1.5 to 1`,
  check: (c) => {
    const roundest = girths(c.design).reduce(
      (worst, g) => (worst && worst.ratio <= g.ratio ? worst : g),
      null as ReturnType<typeof girths>[number] | null,
    );
    if (!roundest || roundest.ratio >= c.limit("round-handle")) return [];
    return [
      found("round-handle", "warning", {
        at: { x: -roundest.behindMm, y: 0 },
        measured: roundest.ratio,
        limit: c.limit("round-handle"),
      }),
    ];
  },
};

const bevel: Rule = {
  code: "bevel-lost",
  limit: 1,
  unit: "mm",
  source: `${PRACTICE}, geometry`,
  check: (c) => {
    const left = bevelLeft(c.design);
    if (!left || left.leftMm >= c.limit("bevel-lost")) return [];
    return [
      found("bevel-lost", "warning", {
        at: { x: c.layout.frontX, y: 0 },
        measured: left.leftMm,
        limit: c.limit("bevel-lost"),
        fix: {
          kind: "set",
          changes: [{ path: "handle.frontBevel.lengthMm", value: upToTenth(c.limit("bevel-lost")) }],
        },
      }),
    ];
  },
};

const glue: Rule = {
  code: "glue-sets-too-soon",
  limit: 1,
  unit: "ratio",
  source: PRACTICE,
  check: (c) => {
    const through = new Map(c.pins().map((p) => [p.id, p.throughMm]));
    const plan = gluePlan(c.design, through);
    if (plan.netMm3 <= 0) return [];
    const measured = plan.potLifeMin / plan.assemblyMin;
    if (measured >= c.limit("glue-sets-too-soon")) return [];
    return [found("glue-sets-too-soon", "warning", { measured: plan.potLifeMin, limit: plan.assemblyMin })];
  },
};

/** Wood that stands flush against a tang's edge shows what it moves. */
const wood: Rule = {
  code: "wood-moves",
  limit: 0.1,
  unit: "mm",
  source: "USDA Wood Handbook, FPL-GTR-282, ch. 4 and 13, values from memory",
  check: (c) => {
    if (c.design.handle.kind !== "scales") return [];
    return movement(c.design).flatMap((m): Found[] =>
      m.mostMm <= c.limit("wood-moves")
        ? []
        : [
            found("wood-moves", "note", {
              subject: m.material,
              measured: m.mostMm,
              limit: c.limit("wood-moves"),
            }),
          ],
    );
  },
};

/** The two metals of a handle that are farthest apart; the one with the higher index goes first. */
function metalsOf(design: Design): { material: string; index: number }[] {
  const materialOf = materialsIn(design);
  const made = assemble(design).parts.flatMap((p) => p.materials.map((m) => m.materialId));
  return [...new Set(made)]
    .flatMap((material) => {
      const found = materialOf(material);
      const index = found ? anodicIndex(found) : null;
      return index === null ? [] : [{ material, index }];
    })
    .sort((a, b) => b.index - a.index);
}

const metals: Rule = {
  code: "metals-differ",
  limit: 0.25,
  unit: "volts",
  source: "anodic index, MIL-STD-889 and common galvanic tables, from memory",
  check: (c) => {
    const all = metalsOf(c.design);
    if (all.length < 2) return [];
    const [first, last] = [all[0], all[all.length - 1]];
    const measured = first.index - last.index;
    if (measured <= c.limit("metals-differ") + ROUNDING) return [];
    return [
      found("metals-differ", "note", {
        subject: `${first.material}+${last.material}`,
        measured,
        limit: c.limit("metals-differ"),
      }),
    ];
  },
};

export const HANDLE_RULES: readonly Rule[] = [
  stock,
  thin,
  cutShort,
  hand,
  finger,
  round,
  bevel,
  glue,
  wood,
  washers,
  overpressed,
  metals,
];
