import { withValueAt } from "../../base/record/path";
import type { Design } from "../../knife/design/schema";
import { stretchedHandle } from "../../knife/layout/handleLengths";
import { unglued } from "../../knife/starts/constructions";
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
    case "unglue":
      return unglued(design);
    case "pull":
      return withLevers(design, new Map([[fix.lever, fix.amount]])) ?? design;
  }
}
