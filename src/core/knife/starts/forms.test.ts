import { describe, expect, it } from "vitest";
import { weigh } from "../../figures/weigh/weigh";
import { BUTT_FORMS, withButt, withFingerGrooves } from "../design/butts";
import { newDesign } from "../design/create";
import { GUARD_FORMS, guardOfForm } from "../design/guards";
import { handleReach } from "../design/handleParts";
import { type Design, designSchema } from "../design/schema";
import { handleOutline } from "../shapes/handleOutline";
import { checkDesign } from "../validity/checkDesign";

const sedge = newDesign("Sedge");
const outlined = (outline: Design["handle"]["outline"]): Design => ({
  ...sedge,
  handle: { ...sedge.handle, outline: [...outline] },
});
const sound = (design: Design) => checkDesign(design).every((f) => f.severity !== "error");

describe("forms of the butt", () => {
  it.each(BUTT_FORMS)("%s: keeps length, front and what lies ahead of the rear fifth", (form) => {
    const before = sedge.handle.outline;
    const after = withButt(before, form);
    const design = outlined(after);
    expect(designSchema.safeParse(design).success).toBe(true);
    expect(sound(design)).toBe(true);
    expect(handleReach(design)).toBeCloseTo(handleReach(sedge), 6);
    expect([after[0], after[after.length - 1]]).toEqual([before[0], before[before.length - 1]]);
    const ahead = (nodes: Design["handle"]["outline"]) =>
      nodes.filter((n) => -n.xMm < 0.8 * handleReach(sedge));
    expect(ahead(after)).toEqual(ahead(before));
    expect(new Set(after.map((n) => n.id)).size).toBe(after.length);
  });

  it("one after the other end where the last one would alone", () => {
    for (const first of BUTT_FORMS)
      for (const last of BUTT_FORMS) {
        const shape = (nodes: Design["handle"]["outline"]) => nodes.map((n) => [n.xMm, n.yMm, n.corner]);
        const both = withButt(withButt(sedge.handle.outline, first), last);
        // Heights hang on the point that is named the rear's top, which forms set a little apart.
        const alone = withButt(sedge.handle.outline, last);
        expect(both.map((n) => n.role)).toEqual(alone.map((n) => n.role));
        expect(shape(both).map(([x]) => x)).toEqual(shape(alone).map(([x]) => x));
      }
  });

  it("a fishtail's end is taller than a rounded one's, a hook hangs lower", () => {
    const at = (form: (typeof BUTT_FORMS)[number]) => {
      const cut = handleOutline(outlined(withButt(sedge.handle.outline, form)).handle).cut(
        -0.97 * handleReach(sedge),
      );
      return { low: cut[0], tall: cut[cut.length - 1] - cut[0] };
    };
    expect(at("fishtail").tall).toBeGreaterThan(at("rounded").tall);
    expect(at("hooked").low).toBeLessThan(at("rounded").low);
  });
});

describe("finger grooves", () => {
  it.each([1, 2, 3, 4])("%d of them are as many hollows as deep as was said", (count) => {
    const nodes = withFingerGrooves(sedge.handle.outline, count, 2.5);
    const design = outlined(nodes);
    expect(sound(design)).toBe(true);
    const hollows = nodes.filter((n) => n.id.startsWith("finger-"));
    const crests = nodes.filter((n) => n.id.startsWith("crest-"));
    expect([hollows.length, crests.length]).toEqual([count, count + 1]);
    for (const h of hollows) expect(h.yMm - crests[0].yMm).toBeCloseTo(2.5, 6);
    const stations = hollows.map((h) => h.xMm).sort((a, b) => b - a);
    const gaps = stations.slice(1).map((x, i) => stations[i] - x);
    for (const gap of gaps) expect(gap).toBeCloseTo(gaps[0], 1);
  });

  it("with no room, or none asked for, leave the outline as it was", () => {
    expect(withFingerGrooves(sedge.handle.outline, 0, 2)).toEqual(sedge.handle.outline);
    expect(withFingerGrooves(sedge.handle.outline, 30, 2)).toEqual(sedge.handle.outline);
    expect(withFingerGrooves(sedge.handle.outline, Number.NaN, 2)).toEqual(sedge.handle.outline);
  });
});

describe("forms of the guard", () => {
  it.each(GUARD_FORMS)("%s: can be built, and is taller and wider than the handle's front", (form) => {
    const guard = guardOfForm(form, sedge);
    const design = { ...sedge, guard };
    expect(designSchema.safeParse(design).success).toBe(true);
    const weighing = weigh(design);
    if (!weighing.ok) throw new Error(JSON.stringify(weighing.findings));
    const { outline, plan } = sedge.handle;
    expect(guard.aboveMm).toBeGreaterThan(outline[0].yMm);
    expect(guard.belowMm).toBeGreaterThan(-outline[outline.length - 1].yMm);
    expect(guard.widthMm).toBeGreaterThan(2 * Math.max(...plan.map((p) => p.halfMm)));
    expect(weighing.report.parts.find((p) => p.id === "guard")?.massG).toBeGreaterThan(5);
  });

  it("keeps the plates, slot, collar and dowels that were there", () => {
    const first = guardOfForm("oval", sedge);
    const made = {
      ...first,
      plates: [{ material: "titanium-5", thicknessMm: 4, printed: null }],
      slot: { clearanceMm: 0.2, fill: "epoxy" },
      fittings: [{ kind: "collar" as const, lengthMm: 6, wallMm: 1, material: "copper" }],
    };
    for (const form of GUARD_FORMS) {
      const { plates, slot, fittings } = guardOfForm(form, { ...sedge, guard: made });
      expect({ plates, slot, fittings: fittings.filter((f) => f.kind !== "notch") }).toEqual({
        plates: made.plates,
        slot: made.slot,
        fittings: made.fittings,
      });
    }
  });
});
