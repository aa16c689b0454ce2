import { unglued } from "../design/constructions";
import { putAt } from "../design/path";
import type { Design } from "../design/schema";
import { stretchedHandle } from "../layout/handleLengths";
import { withLevers } from "../tune/effects";
import type { Mend } from "./types";

/** The design with a mend applied. One whose subject is gone changes nothing. */
export function applyMend(design: Design, mend: Mend): Design {
  switch (mend.kind) {
    case "set": {
      const next = structuredClone(design);
      return mend.changes.every(({ path, value }) => putAt(next, path, value)) ? next : design;
    }
    case "replace-fastener":
      return {
        ...design,
        fasteners: design.fasteners.map((f) => (f.id === mend.fastener.id ? mend.fastener : f)),
      };
    case "add-fastener":
      return { ...design, fasteners: [...design.fasteners, mend.fastener] };
    case "add-piece": {
      if (design.handle.kind !== "stack") return design;
      const { index, lengthMm } = mend.trim;
      const pieces = design.handle.pieces.map((p, i) => (i === index ? { ...p, lengthMm } : p));
      pieces.splice(mend.at, 0, mend.piece);
      return { ...design, handle: { ...design.handle, pieces } };
    }
    case "handle-length":
      return stretchedHandle(design, mend.mm);
    case "unglue":
      return unglued(design);
    case "pull":
      return withLevers(design, new Map([[mend.lever, mend.amount]])) ?? design;
  }
}
