import { assemble } from "../../assembly/assemble";
import type { PartKey } from "../../assembly/partKey";
import type { Design } from "../../design/schema";
import { gluePlan } from "../../fit/glue";
import { bevelLeft, girths, gripLength } from "../../fit/hand";
import { movement } from "../../fit/movement";
import { cutList } from "../../fit/stockList";
import { pieceNaming, plateNaming } from "../../layout/itemNames";
import { jointsFrontFirst } from "../../layout/scales";
import { clamp, roundTo, upToTenth } from "../../number";
import { materialById } from "../../stock/materials";
import { anodicIndex } from "../../stock/working";
import { ROUNDING } from "../../tolerances";
import type { Found } from "../types";
import { found, PRACTICE, type Rule } from "./context";

const stock: Rule = {
  code: "stock-too-small",
  limit: 0,
  unit: "mm",
  source: `${PRACTICE}: the finished envelope, a saw kerf and 1.5 mm a side`,
  check: (c) => {
    if (c.design.fitUp.stock.have.length === 0) return [];
    return cutList(c.design).flatMap((p): Found[] => {
      const missing = p.shortMm;
      if (!missing) return [];
      const size = (["lengthMm", "heightMm", "thicknessMm"] as const).reduce((most, of) =>
        missing[of] > missing[most] ? of : most,
      );
      const short = missing[size];
      if (short <= c.limit("stock-too-small") + ROUNDING) return [];
      return [
        found("stock-too-small", "warning", {
          subject: p.id,
          piece: p.key,
          size,
          measured: short,
          limit: c.limit("stock-too-small"),
        }),
      ];
    });
  },
};

const hand: Rule = {
  code: "handle-short-for-hand",
  limit: 10,
  unit: "mm",
  source: `${PRACTICE}: breadth across the knuckles and 10 to 15 mm`,
  check: (c) => {
    const grip = gripLength(c.design);
    const wanted = c.design.fitUp.hand.breadthMm + c.limit("handle-short-for-hand");
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
    if (!design.fitUp.hand.thrust || design.guard) return [];
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

const overpressed: Rule = {
  code: "washers-overpressed",
  limit: 0.25,
  unit: "share",
  source: "10 to 15 % over length before compression, from memory: twice that is no longer pulled up by hand",
  check: (c) => {
    const { handle } = c.design;
    if (handle.kind !== "stack") return [];
    return handle.pieces.flatMap((p, i): Found[] => {
      const limit = c.limit("washers-overpressed");
      if (p.pressedShare <= limit + ROUNDING) return [];
      const lengthMm = roundTo((p.lengthMm * (1 - p.pressedShare)) / (1 - USUAL_PRESS), 2);
      return [
        found("washers-overpressed", "warning", {
          subject: p.id,
          part: { kind: "piece", sort: p.role, id: p.id, ...pieceNaming(c.design, i) },
          measured: p.pressedShare,
          limit,
          fix: {
            kind: "set",
            changes: [
              { path: `handle.pieces.${i}.pressedShare`, value: USUAL_PRESS },
              { path: `handle.pieces.${i}.lengthMm`, value: Math.min(600, lengthMm) },
            ],
          },
        }),
      ];
    });
  },
};

/** Share of its length that a stack of leather or cork is usually pressed by. */
const USUAL_PRESS = 0.12;

const washers: Rule = {
  code: "washers-unpressed",
  limit: 0.1,
  unit: "share",
  source: "10 to 15 % over length before compression, from memory",
  check: (c) => {
    const { handle } = c.design;
    if (handle.kind !== "stack") return [];
    return handle.pieces.flatMap((p, i): Found[] => {
      const soft = materialById(p.material)?.class === "leather" || p.material === "cork";
      if (!soft || p.shape || p.pressedShare >= c.limit("washers-unpressed")) return [];
      const pressedShare = clamp(c.limit("washers-unpressed"), USUAL_PRESS, 0.5);
      // The stack is longer by as much, so that it comes out as long as it was.
      const lengthMm = roundTo((p.lengthMm * (1 - p.pressedShare)) / (1 - pressedShare), 2);
      return [
        found("washers-unpressed", "warning", {
          subject: p.id,
          measured: p.pressedShare,
          limit: c.limit("washers-unpressed"),
          fix: {
            kind: "set",
            changes: [
              { path: `handle.pieces.${i}.pressedShare`, value: pressedShare },
              { path: `handle.pieces.${i}.lengthMm`, value: Math.min(600, lengthMm) },
            ],
          },
        }),
      ];
    });
  },
};

/** Thinner than this a sheet is neither sawn nor ground flat, mm. */
const thin: Rule = {
  code: "too-thin-to-cut",
  limit: 0.25,
  unit: "mm",
  source: PRACTICE,
  check: (c) => {
    const { handle, guard } = c.design;
    const least = c.limit("too-thin-to-cut");
    const sheets: { part: PartKey; subject: string; path: string; thickMm: number }[] = [];
    guard?.plates.forEach((p, i) => {
      const number = guard.plates.length > 1 ? i + 1 : null;
      sheets.push({
        part: { kind: "guard", number, ...plateNaming(c.design, i) },
        subject: `plate ${i + 1}`,
        path: `guard.plates.${i}.thicknessMm`,
        thickMm: p.thicknessMm,
      });
    });
    if (handle.kind === "scales")
      handle.joints.forEach(({ id, divider }, i) => {
        if (!divider) return;
        const number = jointsFrontFirst(handle).findIndex((j) => j.id === id) + 1;
        sheets.push({
          part: { kind: "divider", id, number, side: "right" },
          subject: id,
          path: `handle.joints.${i}.divider.thicknessMm`,
          thickMm: divider.thicknessMm,
        });
      });
    else
      handle.pieces.forEach((p, i) => {
        if (p.printed) return;
        const part = { kind: "piece", sort: p.role, id: p.id, ...pieceNaming(c.design, i) } as const;
        const [to, from] = c.layout.pieces[i];
        sheets.push({ part, subject: p.id, path: `handle.pieces.${i}.lengthMm`, thickMm: from - to });
      });
    return sheets.flatMap(({ part, subject, path, thickMm }): Found[] =>
      thickMm >= least - ROUNDING
        ? []
        : [
            found("too-thin-to-cut", "warning", {
              subject,
              part,
              measured: thickMm,
              limit: least,
              fix: { kind: "set", changes: [{ path, value: Math.max(0.3, upToTenth(least)) }] },
            }),
          ],
    );
  },
};

/** A ball or a disc of which its length leaves less than this share is a sliver of one. */
const cutShort: Rule = {
  code: "shape-cut-short",
  limit: 0.5,
  unit: "share",
  source: PRACTICE,
  check: (c) => {
    const { handle } = c.design;
    if (handle.kind !== "stack") return [];
    return handle.pieces.flatMap((p, i): Found[] => {
      const shape = p.shape;
      if (shape?.kind !== "ball" && shape?.kind !== "disc") return [];
      const [to, from] = c.layout.pieces[i];
      const measured = (from - to) / shape.diameterMm;
      if (measured >= c.limit("shape-cut-short") - ROUNDING) return [];
      const lengthMm = roundTo((0.9 * shape.diameterMm) / (1 - p.pressedShare), 1);
      return [
        found("shape-cut-short", "warning", {
          at: { x: to, y: shape.yMm },
          subject: p.id,
          part: { kind: "piece", sort: p.role, id: p.id, ...pieceNaming(c.design, i) },
          measured,
          limit: c.limit("shape-cut-short"),
          fix: { kind: "set", changes: [{ path: `handle.pieces.${i}.lengthMm`, value: lengthMm }] },
        }),
      ];
    });
  },
};

/** The two metals of a handle that are farthest apart; the one with the higher index goes first. */
function metalsOf(design: Design): { material: string; index: number }[] {
  const made = assemble(design).parts.flatMap((p) => p.materials.map((m) => m.materialId));
  return [...new Set(made)]
    .flatMap((material) => {
      const index = anodicIndex(material);
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
