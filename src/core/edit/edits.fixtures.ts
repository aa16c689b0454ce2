import { newMark } from "../figures/views/markRoom";
import { newFastener } from "../kinds/fasteners/registry";
import { newFuller } from "../knife/design/bladeStarts";
import { CONSTRUCTIONS } from "../knife/design/constructions.fixtures";
import { newDesign } from "../knife/design/create";
import { newScale } from "../knife/design/newScale";
import type { Design } from "../knife/design/schema";
import { plainFacts } from "../knife/design/workshop";
import { asPoints } from "../knife/layout/bladeLengths";
import { newLengthwise } from "../knife/layout/handleStarts";
import { bareBladeOf, newMeasured } from "../knife/starts/starts";
import type { FixedEdit } from "./fixed/edits";

const plain = newDesign("Sedge");
const kindOf = (of: (d: Design) => boolean): Design => {
  const found = Object.values(CONSTRUCTIONS).find(of);
  if (!found) throw new Error("no such construction");
  return found;
};
const hidden = kindOf((d) => d.tang.kind === "hidden" && d.tang.hole.kind === "drilled");
const threaded = kindOf((d) => d.tang.kind === "hidden" && d.tang.end.kind === "threaded");
const guarded = kindOf((d) => d.guard !== null && d.guard.mesh === null);
const dowelled = kindOf((d) => d.guard?.fittings.some((f) => f.kind === "dowels") ?? false);
const layered = kindOf((d) => (d.guard?.plates.length ?? 0) > 1);
const stacked = kindOf((d) => d.handle.kind === "stack" && d.handle.pieces.length > 2);
const drawn: Design = { ...plain, blade: asPoints(plain.blade) };
const inHand: Design = { ...plain, blade: { ...plain.blade, measured: newMeasured(120, 4) } };
const asWeighed: Design = {
  ...inHand,
  blade: {
    ...inHand.blade,
    measured: {
      ...newMeasured(120, 4),
      of: {
        kind: "blade",
        asWeighed: { ...bareBladeOf(plain), bores: [] },
      },
    },
  },
};
const bolted: Design = {
  ...plain,
  fasteners: [
    ...plain.fasteners,
    newFastener("cap-screw", "screw-1", { xMm: -60, yMm: 0 }, plain.blade.spineMm),
  ],
};
const lengthwise: Design = {
  ...stacked,
  handle: { ...stacked.handle, lengthwise: newLengthwise(stacked) } as Design["handle"],
};
const marked: Design = {
  ...plain,
  fitUp: { ...plain.fitUp, accepted: [{ rule: "thin-web", subject: null, reason: "as wanted" }] },
};
const shop = { id: "w", facts: { ...plainFacts(), shopC: 12 } };
const following: Design = { ...plain, workshop: { ...plain.workshop, id: "w", own: ["shopC"], shopC: 25 } };
const stamped: Design = {
  ...plain,
  blade: {
    ...plain.blade,
    marks: [
      newMark(plain, {
        id: "m-1",
        says: "S",
        madeFrom: "drawing",
        art: "M-0.75 -0.5L0.75 -0.5L0.75 0.5L-0.75 0.5Z",
        heightMm: 3,
      }),
    ],
  },
};
const [node] = plain.handle.outline.slice(2);

type Example = readonly [Design, FixedEdit];

/** Every edit there is, by its code, on a design that it changes. */
export const EDIT_EXAMPLES: { readonly [C in FixedEdit["code"]]: Example } = {
  set: [plain, { code: "set", path: "blade.spineMm", to: 4.2 }],
  put: [plain, { code: "put", path: "handle.waist", item: { xMm: -60, chordMm: 40, wheelRadiusMm: 101.6 } }],
  clear: [guarded, { code: "clear", path: "guard" }],
  add: [plain, { code: "add", list: "blade.fullers", item: newFuller(plain.blade, "fuller-1") }],
  remove: [plain, { code: "remove", list: "fasteners", at: 0, kind: "pin" }],
  reorder: [stacked, { code: "reorder", list: "handle.pieces", from: 0, to: 1 }],
  entry: [plain, { code: "entry", map: "work.minutes", key: "profile", to: 12 }],
  "take-reference": [plain, { code: "take-reference", design: stacked }],
  "take-other-tab": [plain, { code: "take-other-tab", design: stacked }],
  "take-variant": [plain, { code: "take-variant", name: "Slim", design: stacked }],
  "make-of-lot": [
    plain,
    {
      code: "make-of-lot",
      lot: "Walnut pair",
      paths: ["handle.right.material", "handle.left.material"],
      material: {
        id: "own-lot-walnut",
        name: "Walnut pair",
        class: "wood",
        like: "walnut-black",
        density: { kind: "stated", typical: 0.62, low: 0.61, high: 0.63 },
        hazards: ["wood-dust"],
        otherNames: [],
        tint: "#6b4a2f",
        note: "",
      },
    },
  ],
  resolve: [plain, { code: "resolve", change: { kind: "old-hole", xMm: -30, yMm: 1, diameterMm: 4 } }],
  "way-back": [guarded, { code: "way-back", way: "spacer-in-gap", mm: 0.8 }],
  "take-pattern": [plain, { code: "take-pattern", role: "blade", design: stacked }],
  "take-blank": [plain, { code: "take-blank", grade: "Sedge, best", of: stacked }],
  "start-from": [plain, { code: "start-from", from: "blade" }],
  rehandle: [plain, { code: "rehandle" }],
  "balance-found": [inHand, { code: "balance-found", way: "supports" }],
  "keep-drawing": [inHand, { code: "keep-drawing", keeps: true }],
  "weighed-now": [asWeighed, { code: "weighed-now" }],
  "cut-was-in": [asWeighed, { code: "cut-was-in", cut: "bores", isIn: true }],
  "blade-length": [plain, { code: "blade-length", mm: 130 }],
  "heel-height": [plain, { code: "heel-height", mm: 31 }],
  "tip-style": [plain, { code: "tip-style", style: "spear" }],
  "blade-by-points": [plain, { code: "blade-by-points" }],
  "blade-by-style": [drawn, { code: "blade-by-style", style: "spear" }],
  "blade-point-add": [drawn, { code: "blade-point-add", run: "edge", after: null, id: "edge-new" }],
  "blade-point-remove": [drawn, { code: "blade-point-remove", run: "edge", at: 0 }],
  grind: [plain, { code: "grind", kind: "convex" }],
  "left-ground-apart": [plain, { code: "left-ground-apart", apart: true }],
  "left-grind": [
    { ...plain, blade: { ...plain.blade, leftGrind: { kind: "none" } as Design["blade"]["leftGrind"] } },
    { code: "left-grind", kind: "convex" },
  ],
  "mark-says": [stamped, { code: "mark-says", id: "m-1", says: "SEDGE", art: null }],
  tang: [plain, { code: "tang", kind: "hidden" }],
  "tang-end": [threaded, { code: "tang-end", kind: "peened" }],
  "hole-made": [hidden, { code: "hole-made", kind: "broached" }],
  thread: [threaded, { code: "thread", at: "tang.end", thread: "M5" }],
  "thread-sizes": [
    threaded,
    { code: "thread-sizes", thread: "M4", sets: [{ path: "tang.end.nut.acrossMm", value: 7 }] },
  ],
  "tang-bare": [plain, { code: "tang-bare", bare: true }],
  "metal-grip": [plain, { code: "metal-grip", material: "bronze-silicon" }],
  "handle-length": [plain, { code: "handle-length", which: "length", mm: 118 }],
  "outline-mirrored": [plain, { code: "outline-mirrored", mirrors: true }],
  "follow-spine": [{ ...plain, blade: { ...plain.blade, spineOverAxisMm: 8 } }, { code: "follow-spine" }],
  "butt-form": [plain, { code: "butt-form", form: "fishtail" }],
  "finger-grooves": [plain, { code: "finger-grooves", count: 3, depthMm: 2 }],
  "outline-move": [plain, { code: "outline-move", id: node.id, role: node.role, to: { x: -70, y: 11 } }],
  "outline-corner": [plain, { code: "outline-corner", id: node.id, corner: !node.corner }],
  "outline-add": [plain, { code: "outline-add", after: node.id, id: "point-1" }],
  "outline-remove": [plain, { code: "outline-remove", id: node.id, role: node.role }],
  "thickness-move": [
    plain,
    { code: "thickness-move", id: plain.handle.plan[1].id, to: { x: -30, y: 9 }, left: false },
  ],
  "thickness-add": [plain, { code: "thickness-add", after: 0, id: "plan-new" }],
  "thickness-remove": [plain, { code: "thickness-remove", id: plain.handle.plan[1].id }],
  roundness: [plain, { code: "roundness", to: 0.33 }],
  "sides-differ": [plain, { code: "sides-differ", differ: true }],
  "match-scales": [
    plain.handle.kind === "scales"
      ? { ...plain, handle: { ...plain.handle, left: newScale("g10", 6) } }
      : plain,
    { code: "match-scales" },
  ],
  "curve-point-add": [
    lengthwise,
    { code: "curve-point-add", list: "handle.lengthwise.points", closed: false, id: "point-9" },
  ],
  "guard-form": [plain, { code: "guard-form", form: "s-curve" }],
  "plate-remove": [layered, { code: "plate-remove", at: 0 }],
  "guard-fitting": [dowelled, { code: "guard-fitting", kind: "dowels", fitted: false }],
  "lay-pins": [plain, { code: "lay-pins", lay: "mirrored" }],
  "job-state": [plain, { code: "job-state", state: "finished", day: "2026-11-30" }],
  use: [plain, { code: "use", kind: "sword" }],
  "name-item": [plain, { code: "name-item", at: "fasteners.0", to: "Front pin", title: "Pin 1" }],
  lock: [plain, { code: "lock", at: "blade.spineMm", locks: true }],
  accept: [plain, { code: "accept", rule: "thin-web", subject: null, reason: "as wanted" }],
  "take-back-acceptance": [marked, { code: "take-back-acceptance", rule: "thin-web", subject: null }],
  "follow-workshop": [plain, { code: "follow-workshop", workshop: shop, name: "Barn" }],
  "share-part": [following, { code: "share-part", part: "shopC", workshop: shop }],
  "part-is-shared": [following, { code: "part-is-shared", part: "shopC" }],
  fix: [
    plain,
    { code: "fix", rule: "thin-web", fix: { kind: "set", changes: [{ path: "blade.spineMm", value: 3.9 }] } },
  ],
  pull: [plain, { code: "pull", amounts: { spine: -0.2 } }],
  "move-point": [
    plain,
    {
      code: "move-point",
      view: "side",
      step: "blade",
      id: "heel",
      name: { point: "heel" },
      to: { x: 9, y: -14 },
    },
  ],
  "type-point": [
    bolted,
    {
      code: "type-point",
      view: "side",
      step: "pins",
      id: "screw-1",
      name: { point: "item", item: { kind: "fastener", sort: "cap-screw", number: 1 } },
      path: "fasteners.2.xMm",
      to: -66,
    },
  ],
  "remove-point": [
    plain,
    {
      code: "remove-point",
      view: "side",
      step: "pins",
      id: plain.fasteners[0].id,
      name: { point: "item", item: { kind: "fastener", sort: "pin", number: 1 } },
    },
  ],
  "move-grip": [plain, { code: "move-grip", gripId: "grip-1", xMm: -41 }],
};
