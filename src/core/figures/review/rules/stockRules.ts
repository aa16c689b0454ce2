import { clamp, roundTo, upToTenth } from "../../../base/number";
import { ROUNDING } from "../../../base/tolerances";
import { piecesOf } from "../../../knife/design/handleParts";
import { materialsIn } from "../../../knife/design/materials";
import type { PartKey } from "../../../knife/parts/partKey";
import { pieceNaming, plateNaming } from "../../../knife/shapes/itemNames";
import { jointsFrontFirst, veneerNumber } from "../../../knife/shapes/scales";
import { isPressed } from "../../../materials/working";
import { cutList } from "../../fit/stockList";
import type { Found } from "../types";
import { found, PRACTICE, type Rule } from "./context";

export const stock: Rule = {
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

export const overpressed: Rule = {
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

export const washers: Rule = {
  code: "washers-unpressed",
  limit: 0.1,
  unit: "share",
  source: "10 to 15 % over length before compression, from memory",
  check: (c) => {
    const { handle } = c.design;
    if (handle.kind !== "stack") return [];
    return handle.pieces.flatMap((p, i): Found[] => {
      const soft = isPressed(materialsIn(c.design)(p.material));
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
export const thin: Rule = {
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
      handle.joints.forEach((joint, i) => {
        const { id } = joint;
        const number = jointsFrontFirst(handle).findIndex((j) => j.id === id) + 1;
        joint.dividers.forEach(({ thicknessMm: thickMm }, k) => {
          sheets.push({
            part: { kind: "divider", id, number, sheet: veneerNumber(joint, k), side: "right" },
            subject: id,
            path: `handle.joints.${i}.dividers.${k}.thicknessMm`,
            thickMm,
          });
        });
      });
    else
      piecesOf(handle).forEach((p, i) => {
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
export const cutShort: Rule = {
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
