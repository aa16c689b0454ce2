import { isRecord } from "../../base/isRecord";
import { valueAt, withValueAt } from "../../base/record/path";
import type { Design } from "../../knife/design/schema";
import { stretchedHandle } from "../../knife/layout/handleLengths";
import { unglued, withTang } from "../../knife/starts/constructions";
import { withLevers } from "../tune/levers";
import type { Fix } from "./types";

/** The design with a fix applied. One whose subject is gone changes nothing. */
export function applyFix(design: Design, fix: Fix): Design {
  switch (fix.kind) {
    case "set":
      return (
        fix.changes.reduce<Design | null>(
          (next, { path, value }) => next && withValueAt(next, path, value),
          design,
        ) ?? design
      );
    case "replace-fastener":
      return {
        ...design,
        fasteners: design.fasteners.map((f) => (f.id === fix.fastener.id ? fix.fastener : f)),
      };
    case "add-fastener":
      return { ...design, fasteners: [...design.fasteners, fix.fastener] };
    case "add-piece": {
      if (design.handle.kind !== "stack") return design;
      const { index, lengthMm } = fix.trim;
      const pieces = design.handle.pieces.map((p, i) => (i === index ? { ...p, lengthMm } : p));
      pieces.splice(fix.at, 0, fix.piece);
      return { ...design, handle: { ...design.handle, pieces } };
    }
    case "block-hole":
      return design.tang.kind === "hidden" ? { ...design, tang: { ...design.tang, hole: fix.hole } } : design;
    case "handle-length":
      return stretchedHandle(design, fix.mm);
    case "take-out": {
      const items = valueAt(design, fix.list);
      if (!Array.isArray(items)) return design;
      return withValueAt(design, fix.list, items.toSpliced(fix.at, fix.count ?? 1)) ?? design;
    }
    case "clear":
      return [fix.path, ...(fix.also ?? [])].reduce(
        (next, path) => withValueAt(next, path, null) ?? next,
        design,
      );
    case "own-ids":
      return withOwnIds(design, fix.id);
    case "material":
      return withOther(design, fix.from, fix.to);
    case "tang":
      return withTang(design, fix.to);
    case "unglue":
      return unglued(design);
    case "pull":
      return withLevers(design, new Map([[fix.lever, fix.amount]])) ?? design;
  }
}

/** The fields of a knife that say what it is made of, and how large: a shop, an order or a use are none of it. */
export const MADE = ["blade", "tang", "handle", "guard", "fasteners"] as const;

/** The design with every text, list and record of what it is made of changed, from within outward. */
function remade(design: Design, by: (value: unknown) => unknown): Design {
  const changed = (value: unknown): unknown => {
    if (Array.isArray(value)) return by(value.map(changed));
    if (!isRecord(value)) return by(value);
    return by(Object.fromEntries(Object.entries(value).map(([k, v]) => [k, changed(v)])));
  };
  return { ...design, ...Object.fromEntries(MADE.map((part) => [part, changed(design[part])])) };
}

/** The design with one material's id in the place of another's. */
const withOther = (design: Design, from: string, to: string): Design =>
  remade(design, (value) => (value === from ? to : value));

/** So many letters of a mark stay when it is numbered: with its number it is as long as a mark may be. */
const STEM = 34;

/** The design with a mark of its own for every item that shares one; the first keeps it. */
function withOwnIds(design: Design, shared: string): Design {
  let count = 0;
  return remade(design, (value) =>
    isRecord(value) && value.id === shared && ++count > 1
      ? { ...value, id: `${shared.slice(0, STEM)}-${count}` }
      : value,
  );
}
