import type { Design, Fastener } from "../../design/schema";
import { kindOf } from "../../fasteners/registry";
import type { Seat } from "../../fit/seats";
import { downToTenth, upToTenth } from "../../number";
import { lineAt } from "../../solids/line";
import { ROUNDING } from "../../tolerances";
import type { Found, Mend } from "../types";
import { found, PRACTICE, type Rule, type RuleContext } from "./context";

const placeOf = (design: Design, id: string) => {
  const index = design.fasteners.findIndex((f) => f.id === id);
  const f = design.fasteners[index];
  return { index, f, at: { x: f.xMm, y: f.yMm } };
};

const setOne = (path: string, value: number): Mend => ({ kind: "set", changes: [{ path, value }] });

/** The surface over the centre plane at a seat, the lower of both sides. */
function lowest(s: Seat): number {
  return Math.min(...s.overSeatMm) + s.seatToSeatMm / 2;
}

/** A seat between what must stay under its head and over it, or null where the handle is too thin for both. */
function betterSeat(c: RuleContext, s: Seat, f: Fastener): number | null {
  const floor = s.seatToSeatMm / 2 - s.underHeadMm;
  const low = upToTenth(floor + Math.max(c.limit("bolt-under-head"), f.diameterMm));
  const high = downToTenth(lowest(s) - c.limit("bolt-over-seat"));
  return low <= high ? low : null;
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
        const seat = betterSeat(c, s, f);
        return [
          found(code, "warning", {
            at,
            subject: s.id,
            fastener: c.nameOf(f),
            measured,
            limit: least,
            mend: seat === null ? null : setOne(`fasteners.${index}.seatMm`, seat),
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
          fastener: c.nameOf(f),
          measured: s.engagedMm,
          limit: wanted,
          mend: longerScrew(f, index, wanted - s.engagedMm, wanted),
        }),
      ];
    }),
};

/** A screw, nut or insert longer by what is missing, where there is room for it. */
function longerScrew(f: Fastener, index: number, missing: number, wanted: number): Mend | null {
  const more = kindOf(f).moreThread(f, missing, wanted);
  if (!more) return null;
  const changes = Object.entries(more).flatMap(([field, value]) =>
    value === undefined ? [] : [{ path: `fasteners.${index}.${field}`, value }],
  );
  return { kind: "set", changes };
}

const insert: Rule = {
  code: "insert-length",
  limit: 0.2,
  unit: "mm",
  source: `${PRACTICE}: a little longer than the tang is thick, so that the scale pulls down on it`,
  check: (c) => {
    if (c.design.tang.kind === "hidden") return [];
    return c.design.fasteners.flatMap((f, index): Found[] => {
      const inserted = kindOf(f).insert(f);
      if (!inserted) return [];
      const tang = 2 * lineAt(c.layout.tangFace, f.xMm);
      const measured = inserted.lengthMm - tang;
      if (measured >= c.limit("insert-length") - ROUNDING) return [];
      return [
        found("insert-length", "warning", {
          at: { x: f.xMm, y: f.yMm },
          subject: f.id,
          fastener: c.nameOf(f),
          measured,
          limit: c.limit("insert-length"),
          mend: setOne(`fasteners.${index}.${inserted.field}`, upToTenth(tang + c.limit("insert-length"))),
        }),
      ];
    });
  },
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
  engaged,
  insert,
];
