import { describe, expect, it } from "vitest";
import { withTang } from "../design/constructions";
import { newDesign } from "../design/create";
import { newGuard } from "../design/guards";
import { withHandleLength } from "../design/lengths";
import type { Design, HiddenTang, ScalesHandle } from "../design/schema";
import { weigh } from "../weigh/weigh";
import { checkDesign } from "./checkDesign";
import type { FindingRule } from "./types";

const sound = newDesign("Sedge");
if (sound.handle.kind !== "scales" || sound.tang.kind !== "full")
  throw new Error("the sound knife has a full tang");
const scales = sound.handle;
const slab = sound.tang;
const hidden = withTang(sound, "hidden");
if (hidden.handle.kind !== "stack" || hidden.tang.kind !== "hidden") throw new Error("no hidden tang");
const stick = hidden.tang;
const stack = hidden.handle;
const guard = newGuard(sound);
const blade = (change: Partial<Design["blade"]>): Design => ({
  ...sound,
  blade: { ...sound.blade, ...change },
});
const handle = (change: Partial<ScalesHandle>): Design => ({ ...sound, handle: { ...scales, ...change } });
const tang = (change: Partial<HiddenTang>): Design => ({ ...hidden, tang: { ...stick, ...change } });
const fasteners = (...f: Design["fasteners"]): Design => ({ ...sound, fasteners: f });
const node = (role: string, change: { xMm?: number; yMm?: number }) =>
  handle({ outline: sound.handle.outline.map((n) => (n.role === role ? { ...n, ...change } : n)) });
const [pin] = sound.fasteners;
const tube = { id: "t", kind: "lanyard-tube", xMm: -60, yMm: 0, material: "brass-260" } as const;
const mosaic = { id: "m", kind: "patterned-pin", xMm: -60, yMm: 0, diameterMm: 6, fill: "epoxy" } as const;

/** A design that trips each rule; the sound one trips none. */
const TRIPS: [FindingRule, Design][] = [
  ["unknown-material", blade({ steel: "wood-of-the-moon" })],
  ["ricasso-longer-than-blade", blade({ ricassoMm: 110 })],
  ["ricasso-higher-than-heel", blade({ ricassoHeightMm: 40 })],
  ["edge-thicker-than-spine", blade({ edgeMm: 4.5 })],
  ["tip-longer-than-blade", blade({ tip: { ...sound.blade.tip, bellyMm: 104 } })],
  ["hollow-wheel-too-small", blade({ grind: { kind: "hollow", heightMm: 20, wheelRadiusMm: 8 } })],
  ["hollow-cuts-through", blade({ grind: { kind: "hollow", heightMm: 24, wheelRadiusMm: 16 } })],
  ["outline-crosses-itself", node("swell", { yMm: 40 })],
  ["outline-ahead-of-front", node("groove", { xMm: 5 })],
  ["outline-front-open", node("front-top", { xMm: -4 })],
  ["outline-no-area", node("front-top", { yMm: -13 })],
  ["pin-off-handle", fasteners({ ...pin, yMm: 25 })],
  [
    "hole-off-tang",
    {
      ...sound,
      tang: {
        ...slab,
        holes: [{ id: "h", xMm: -200, yMm: 0, diameterMm: 4, fill: null, purpose: "lighten" }],
      },
    },
  ],
  ["fasteners-overlap", fasteners(pin, { ...pin, id: "again", xMm: pin.xMm - 3 })],
  ["bore-not-inside-tube", fasteners({ ...tube, diameterMm: 6, boreMm: 6 })],
  [
    "pattern-overfull",
    fasteners({
      ...mosaic,
      tube: { material: "copper", share: 0.6 },
      rods: { material: "copper", share: 0.6 },
    }),
  ],
  ["handle-thinner-than-tang", handle({ plan: sound.handle.plan.map((p) => ({ ...p, halfMm: 1.5 })) })],
  ["stock-thinner-than-handle", handle({ right: { ...scales.right, thicknessMm: 4 } })],
  ["bevel-too-deep", handle({ frontBevel: { lengthMm: 20, angleDeg: 70 } })],
  ["tang-and-handle-apart", { ...sound, tang: stick }],
  [
    "guard-longer-than-handle",
    {
      ...sound,
      guard: { ...guard, plates: [{ ...guard.plates[0], thicknessMm: 60 }] },
      handle: withHandleLength(scales, "length", 50),
    },
  ],
  ["guard-lower-than-tang", { ...sound, guard: { ...guard, aboveMm: 9 } }],
  ["tang-through-guard", { ...hidden, guard: { ...guard, aboveMm: 5 } }],
  ["tang-hole-breaks-out", tang({ endHeightMm: 40 })],
  ["tang-hole-breaks-out", tang({ frontThicknessMm: 22 })],
  [
    "pieces-longer-than-handle",
    {
      ...hidden,
      handle: { ...stack, pieces: [{ ...stack.pieces[0], id: "long", lengthMm: 300 }, ...stack.pieces] },
    },
  ],
  ["duplicate-id", fasteners(pin, { ...pin, xMm: -60 })],
];

describe("what a design cannot be", () => {
  it("finds nothing amiss in a sound one", () => {
    for (const design of [sound, hidden, { ...sound, guard }, { ...hidden, guard }])
      expect(checkDesign(design)).toEqual([]);
  });

  it.each(TRIPS)("%s", (rule, design) => {
    const found = checkDesign(design).find((f) => f.rule === rule);
    expect(found, JSON.stringify(checkDesign(design))).toBeDefined();
    const weighing = weigh(design);
    expect(weighing.ok).toBe(found?.severity === "warning");
    if (weighing.ok) expect(Number.isFinite(weighing.report.massG)).toBe(true);
  });
});
