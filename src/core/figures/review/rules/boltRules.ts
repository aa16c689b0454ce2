import { downToTenth, upToTenth } from "../../../base/number";
import { ROUNDING } from "../../../base/tolerances";
import { lineAt } from "../../../geometry/solids/line";
import { kindOf } from "../../../kinds/fasteners/registry";
import type { Design, Fastener } from "../../../knife/design/schema";
import type { Seat } from "../../fit/seats";
import type { Fix, Found } from "../types";
import { found, PRACTICE, type Rule, type RuleContext } from "./context";

const placeOf = (design: Design, id: string) => {
  const index = design.fasteners.findIndex((f) => f.id === id);
  const f = design.fasteners[index];
  return { index, f, at: { x: f.xMm, y: f.yMm } };
};

const setOne = (path: string, value: number): Fix => ({ kind: "set", changes: [{ path, value }] });

/** The surface over the centre plane at a seat, the lower of both sides. */
function lowest(s: Seat): number {
  return Math.min(...s.overSeatMm) + s.seatToSeatMm / 2;
}

/** Seats between what must stay under a head and over it, the deepest and the farthest out; none where there is no room. */
function betterSeats(c: RuleContext, s: Seat, f: Fastener): number[] {
  const floor = s.seatToSeatMm / 2 - s.underHeadMm;
  const low = upToTenth(floor + Math.max(c.limit("bolt-under-head"), f.diameterMm));
  const high = downToTenth(lowest(s) - c.limit("bolt-over-seat"));
  return low < high ? [low, high] : low === high ? [low] : [];
}

function seatRule(
  code: "bolt-under-head" | "bolt-over-seat",
  limit: number,
  measure: (s: Seat) => number,
  wanted: (c: RuleContext, f: Fastener) => number,
): Rule {
  return {
    code,
    limit,
    unit: "mm",
    source: PRACTICE,
    check: (c) =>
      c.seats().flatMap((s): Found[] => {
        const { index, f, at } = placeOf(c.design, s.id);
        const [measured, least] = [measure(s), wanted(c, f)];
        if (measured >= least - ROUNDING) return [];
        return [
          found(code, "warning", {
            at,
            subject: s.id,
            items: c.namesOf(f.id),
            measured,
            limit: least,
            fixes: betterSeats(c, s, f).map((seat) => setOne(`fasteners.${index}.seatMm`, seat)),
          }),
        ];
      }),
  };
}

const engaged: Rule = {
  code: "bolt-engagement",
  limit: 1,
  unit: "ratio",
  source: "one diameter in steel, more in softer metals; general machine-design practice, from memory",
  check: (c) =>
    c.seats().flatMap((s): Found[] => {
      const { index, f, at } = placeOf(c.design, s.id);
      const wanted = c.limit("bolt-engagement") * s.engagedWantedMm;
      if (s.engagedMm >= wanted - ROUNDING) return [];
      return [
        found("bolt-engagement", "warning", {
          at,
          subject: s.id,
          items: c.namesOf(f.id),
          measured: s.engagedMm,
          limit: wanted,
          fix: longerScrew(f, index, wanted - s.engagedMm, wanted),
        }),
      ];
    }),
};

/** A screw, nut or insert longer by what is missing, where there is room for it. */
function longerScrew(f: Fastener, index: number, missing: number, wanted: number): Fix | null {
  const more = kindOf(f).moreThread(f, missing, wanted);
  if (!more) return null;
  const changes = Object.entries(more).flatMap(([field, value]) =>
    value === undefined ? [] : [{ path: `fasteners.${index}.${field}`, value }],
  );
  return { kind: "set", changes };
}

/** How much longer than the tang is thick an insert is: a little, and no more than that. */
function insertRule(
  code: "insert-length" | "insert-too-long",
  limit: number,
  wrong: (over: number, limit: number) => boolean,
): Rule {
  return {
    code,
    limit,
    unit: "mm",
    source: `${PRACTICE}: a little longer than the tang is thick, so that the scale pulls down on it`,
    check: (c) => {
      if (c.design.tang.kind === "hidden") return [];
      return c.design.fasteners.flatMap((f, index): Found[] => {
        const inserted = kindOf(f).insert(f);
        if (!inserted) return [];
        const tang = 2 * lineAt(c.layout.tangFace, f.xMm);
        const measured = inserted.lengthMm - tang;
        if (!wrong(measured, c.limit(code))) return [];
        const value = upToTenth(tang + c.limit("insert-length"));
        return [
          found(code, "warning", {
            at: { x: f.xMm, y: f.yMm },
            subject: f.id,
            items: c.namesOf(f.id),
            measured,
            limit: c.limit(code),
            fix: setOne(`fasteners.${index}.${inserted.field}`, value),
          }),
        ];
      });
    },
  };
}

/** A head or a nut over the finished surface: a little is dressed away, more is felt, and takes the head. */
const proud: Rule = {
  code: "bolt-head-proud",
  limit: 0.5,
  unit: "mm",
  source: PRACTICE,
  check: (c) =>
    c.seats().flatMap((s): Found[] => {
      const { index, f, at } = placeOf(c.design, s.id);
      const measured = -Math.min(...s.overHeadMm);
      if (measured <= c.limit("bolt-head-proud") + ROUNDING) return [];
      const deeper = downToTenth(s.seatToSeatMm / 2 - measured);
      return [
        found("bolt-head-proud", "warning", {
          at,
          subject: s.id,
          items: c.namesOf(f.id),
          measured,
          limit: c.limit("bolt-head-proud"),
          fix: deeper > 0.3 ? setOne(`fasteners.${index}.seatMm`, deeper) : null,
        }),
      ];
    }),
};

export const BOLT_RULES: readonly Rule[] = [
  seatRule(
    "bolt-under-head",
    2.5,
    (s) => s.underHeadMm,
    (c, f) => Math.max(c.limit("bolt-under-head"), f.diameterMm),
  ),
  seatRule(
    "bolt-over-seat",
    0.8,
    (s) => Math.min(...s.overSeatMm),
    (c) => c.limit("bolt-over-seat"),
  ),
  proud,
  engaged,
  insertRule("insert-length", 0.2, (over, least) => over < least - ROUNDING),
  insertRule("insert-too-long", 2, (over, most) => over > most + ROUNDING),
];
