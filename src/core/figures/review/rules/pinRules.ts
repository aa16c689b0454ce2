import { roundTo } from "../../../base/number";
import { ROUNDING } from "../../../base/tolerances";
import { MM_PER_INCH } from "../../../base/units/length";
import { kindOf } from "../../../kinds/fasteners/registry";
import { gripMaterials } from "../../../knife/constructions/handles/registry";
import { materialsIn } from "../../../knife/design/materials";
import { holesOf } from "../../../knife/design/openings";
import type { Design, Fastener } from "../../../knife/design/schema";
import { edgeDistance, webOf } from "../../../knife/layout/bores";
import { type Toughness, toughnessOf } from "../../../materials/working";
import { isDrilled, type PassedPart } from "../../fit/pinPath";
import type { Fix, Found } from "../types";
import { betterPlace, moveTo } from "./betterPlace";
import { found, PRACTICE, type Rule, type RuleContext } from "./context";

const EDGE_RULES = { wood: "edge-in-wood", laminate: "edge-in-laminate", metal: "edge-in-metal" } as const;
const TOUGHEST_LAST = ["wood", "laminate", "metal"] as const;

/** Parts of the handle that a fastener really goes through, the least tough first. */
function passedParts(c: RuleContext, id: string): PassedPart[] {
  const rank = (p: PassedPart) => TOUGHEST_LAST.indexOf(toughnessOf(materialsIn(c.design)(p.material)));
  return c
    .pathOf(id)
    .parts.filter((p) => isDrilled(p.key))
    .sort((p, q) => rank(p) - rank(q));
}

/** The rule of the least tough part that a fastener goes through: what decides how near to an edge it may stand. */
function edgeRuleAt(c: RuleContext, id: string): (typeof EDGE_RULES)[Toughness] {
  const [least] = passedParts(c, id);
  return EDGE_RULES[least ? toughnessOf(materialsIn(c.design)(least.material)) : "metal"];
}

/** The strictest of the rules that hold anywhere in the handle: for what has no place yet. */
function edgeRuleAnywhere({ design }: RuleContext): (typeof EDGE_RULES)[Toughness] {
  const found = gripMaterials(design).map((id) => toughnessOf(materialsIn(design)(id)));
  return EDGE_RULES[TOUGHEST_LAST.find((t) => found.includes(t)) ?? "wood"];
}

const webWanted = (c: RuleContext, diameterMm: number) =>
  Math.max(c.limit("web-between-holes"), diameterMm / 2);

/** Rods that are sold, in mm, and in inch by 32nds and 16ths. Common practice, no source. */
const METRIC_RODS_MM = [1.5, 2, 2.5, 3, 4, 5, 6, 8];
const INCH_RODS_MM = [1 / 16, 3 / 32, 1 / 8, 5 / 32, 3 / 16, 1 / 4, 5 / 16].map((inch) => inch * MM_PER_INCH);
/** A rod whose diameter is within this of a sold one is that one, mm. */
const SAME_ROD_MM = 0.03;

/** The thickest rod of the same series that is no thicker than so much, in a pin's place; nothing of what is no plain rod. */
function thinnerPin(design: Design, f: Fastener, mostMm: number): Fix | null {
  if (!kindOf(f).plainRod) return null;
  const inch = INCH_RODS_MM.some((d) => Math.abs(d - f.diameterMm) < SAME_ROD_MM);
  const value = (inch ? INCH_RODS_MM : METRIC_RODS_MM).filter((d) => d <= mostMm + ROUNDING).pop();
  if (value === undefined || value >= f.diameterMm - ROUNDING) return null;
  const index = design.fasteners.indexOf(f);
  return { kind: "set", changes: [{ path: `fasteners.${index}.diameterMm`, value: roundTo(value, 4) }] };
}

function edgeRuleOf(kind: Toughness, limit: number): Rule {
  const code = EDGE_RULES[kind];
  return {
    code,
    limit,
    unit: "diameters",
    source: PRACTICE,
    check: (c) =>
      c.design.fasteners.flatMap((f): Found[] => {
        const part = passedParts(c, f.id).find(
          (p) => toughnessOf(materialsIn(c.design)(p.material)) === kind,
        );
        if (!part) return [];
        const distance = edgeDistance(c.edge, f.xMm, f.yMm);
        const measured = distance / f.diameterMm;
        if (measured >= c.limit(code)) return [];
        const bore = c.bores.find((b) => b.id === f.id);
        const wanted = { toEdgeMm: c.limit(code) * f.diameterMm, webMm: webWanted(c, f.diameterMm) };
        return [
          found(code, "warning", {
            at: { x: f.xMm, y: f.yMm },
            subject: f.id,
            items: c.namesOf(f.id),
            part: part.key,
            measured,
            limit: c.limit(code),
            fixes: [
              bore ? moveTo(c.design, f.id, betterPlace(c, bore, wanted)) : null,
              thinnerPin(c.design, f, distance / c.limit(code)),
            ],
          }),
        ];
      }),
  };
}

/** What a bore needs to its edge when a web's fix moves it. */
function edgeNeed(c: RuleContext, id: string, diameterMm: number): number {
  const f = c.design.fasteners.find((o) => o.id === id);
  if (f) return Math.max(c.limit(edgeRuleAt(c, id)) * f.diameterMm, diameterMm / 2 + 1);
  return diameterMm / 2 + Math.max(c.limit("web-to-tang-edge"), c.limit("hole-rim"));
}

const webs: Rule = {
  code: "web-between-holes",
  limit: 1.5,
  unit: "mm",
  source: `${PRACTICE}: half a diameter and 1.5 mm`,
  check: (c) =>
    c.bores.flatMap((bore, i): Found[] => {
      // Each pair once, at the later of the two.
      const before = c.bores.slice(0, i);
      const web = webOf(bore, before.concat(bore));
      const near = before.find(
        (o) =>
          web !== null &&
          Math.abs(
            Math.hypot(o.xMm - bore.xMm, o.yMm - bore.yMm) - (o.diameterMm + bore.diameterMm) / 2 - web,
          ) < ROUNDING,
      );
      if (web === null || !near || web < 0) return [];
      const limit = Math.max(c.limit("web-between-holes"), Math.max(bore.diameterMm, near.diameterMm) / 2);
      if (web >= limit) return [];
      const wanted = { toEdgeMm: edgeNeed(c, bore.id, bore.diameterMm), webMm: limit };
      return [
        found("web-between-holes", "warning", {
          at: { x: (bore.xMm + near.xMm) / 2, y: (bore.yMm + near.yMm) / 2 },
          subject: bore.id,
          items: c.namesOf(near.id, bore.id),
          measured: web,
          limit,
          fix: moveTo(c.design, bore.id, betterPlace(c, bore, wanted)),
        }),
      ];
    }),
};

/** Holes and slots of a tang that is a slab. */
const tangEdge: Rule = {
  code: "web-to-tang-edge",
  limit: 1.5,
  unit: "mm",
  source: `${PRACTICE}: half a diameter and 1.5 mm`,
  check: (c) => {
    if (c.design.tang.kind !== "full") return [];
    // Lightening holes have a stricter rim of their own.
    return c.design.fasteners.flatMap((f): Found[] => {
      if (!c.pathOf(f.id).parts.some((p) => p.key.kind === "tang")) return [];
      const web = edgeDistance(c.edge, f.xMm, f.yMm) - f.diameterMm / 2;
      const limit = Math.max(c.limit("web-to-tang-edge"), f.diameterMm / 2);
      if (web >= limit || web < 0) return [];
      const bore = c.bores.find((b) => b.id === f.id);
      const wanted = {
        toEdgeMm: Math.max(limit + f.diameterMm / 2, edgeNeed(c, f.id, f.diameterMm)),
        webMm: webWanted(c, f.diameterMm),
      };
      return [
        found("web-to-tang-edge", "warning", {
          at: { x: f.xMm, y: f.yMm },
          subject: f.id,
          items: c.namesOf(f.id),
          measured: web,
          limit,
          fix: bore ? moveTo(c.design, f.id, betterPlace(c, bore, wanted)) : null,
        }),
      ];
    });
  },
};

/** The end fastener of scales, and what would hold their end down. */
function farRule(code: "far-from-front" | "far-from-butt"): Rule {
  return {
    code,
    limit: 25,
    unit: "mm",
    source: PRACTICE,
    check: (c) => {
      const { handle, fasteners } = c.design;
      if (handle.kind !== "scales") return [];
      const { buttX: butt, frontX: front, outline } = c.layout;
      const end = code === "far-from-front" ? front : butt;
      const away = (f: Fastener) => Math.abs(f.xMm - end);
      const nearest = [...fasteners].sort((a, b) => away(a) - away(b))[0];
      const measured = nearest ? away(nearest) : front - butt;
      const limit = c.limit(code);
      if (measured <= limit + 0.05) return [];
      const x = end + (code === "far-from-front" ? -1 : 1) * Math.min(limit - 1, 0.18 * (front - butt));
      const ys = outline.cut(x);
      const y = ys.length > 1 ? Math.round(ys[0] + ys[ys.length - 1]) / 2 : 0;
      const taken = new Set([...fasteners.map((f) => f.id), ...holesOf(c.design).map((h) => h.id)]);
      const id = Array.from({ length: 60 }, (_, k) => `pin-${k + 1}`).find((k) => !taken.has(k)) ?? "pin-new";
      const d = nearest?.kind === "pin" ? nearest.diameterMm : 4.7625;
      const at = { id, xMm: Math.round(x * 2) / 2, yMm: y, diameterMm: d };
      // A place that would itself break a rule is looked for anew close by.
      const place = betterPlace(c, at, {
        toEdgeMm: c.limit(edgeRuleAnywhere(c)) * d,
        webMm: webWanted(c, d),
      });
      const fits = place && Math.abs(place.x - end) <= limit;
      const material = nearest && "material" in nearest ? nearest.material : "brass-360";
      return [
        found(code, "warning", {
          at: { x: end, y },
          subject: nearest?.id,
          measured,
          limit,
          fix: fits
            ? {
                kind: "add-fastener",
                fastener: { kind: "pin", id, xMm: place.x, yMm: place.y, diameterMm: d, material },
              }
            : null,
        }),
      ];
    },
  };
}

const holeRim: Rule = {
  code: "hole-rim",
  limit: 3,
  unit: "mm",
  source: PRACTICE,
  check: (c) => {
    const tubes = c.design.fasteners.filter((f) => f.kind === "lanyard-tube");
    const lightened = holesOf(c.design).filter((h) => h.purpose !== "old-pin");
    return [...tubes, ...lightened].flatMap((h): Found[] => {
      const rim = edgeDistance(c.edge, h.xMm, h.yMm) - h.diameterMm / 2;
      const limit = c.limit("hole-rim");
      if (rim >= limit || rim < 0) return [];
      const bore = c.bores.find((b) => b.id === h.id);
      const tube = "kind" in h;
      const need = tube ? c.limit(edgeRuleAt(c, h.id)) * h.diameterMm : 0;
      const wanted = {
        toEdgeMm: Math.max(limit + h.diameterMm / 2, need),
        webMm: webWanted(c, h.diameterMm),
        behindMm: tube ? undefined : frontFifth(c),
      };
      return [
        found("hole-rim", "warning", {
          at: { x: h.xMm, y: h.yMm },
          subject: h.id,
          items: c.namesOf(h.id),
          measured: rim,
          limit,
          fix: bore ? moveTo(c.design, h.id, betterPlace(c, bore, wanted)) : null,
        }),
      ];
    });
  },
};

/** How far behind the datum the front fifth of the tang ends. */
function frontFifth(c: RuleContext): number {
  return c.limit("hole-in-front-fifth") * -c.layout.buttX;
}

const frontHoles: Rule = {
  code: "hole-in-front-fifth",
  limit: 0.2,
  unit: "share",
  source: PRACTICE,
  check: (c) =>
    holesOf(c.design)
      .filter((h) => h.purpose === "lighten")
      .flatMap((h): Found[] => {
        const until = frontFifth(c);
        const measured = (-h.xMm - h.diameterMm / 2) / (until / c.limit("hole-in-front-fifth"));
        if (measured >= c.limit("hole-in-front-fifth") - ROUNDING) return [];
        const bore = c.bores.find((b) => b.id === h.id);
        const wanted = {
          toEdgeMm: h.diameterMm / 2 + c.limit("hole-rim"),
          webMm: webWanted(c, h.diameterMm),
          behindMm: until + h.diameterMm / 2,
        };
        return [
          found("hole-in-front-fifth", "warning", {
            at: { x: h.xMm, y: h.yMm },
            subject: h.id,
            items: c.namesOf(h.id),
            measured,
            limit: c.limit("hole-in-front-fifth"),
            fix: bore ? moveTo(c.design, h.id, betterPlace(c, bore, wanted)) : null,
          }),
        ];
      }),
};

export const PIN_RULES: readonly Rule[] = [
  edgeRuleOf("wood", 2),
  edgeRuleOf("laminate", 1.5),
  edgeRuleOf("metal", 1),
  webs,
  tangEdge,
  farRule("far-from-front"),
  farRule("far-from-butt"),
  holeRim,
  frontHoles,
];
