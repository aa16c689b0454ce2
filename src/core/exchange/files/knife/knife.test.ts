import { readdirSync, readFileSync } from "node:fs";
import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { cutList } from "../../../figures/fit/stockList";
import { weigh } from "../../../figures/weigh/weigh";
import { newDesign } from "../../../knife/design/create";
import { MIGRATIONS, migrate } from "../../../knife/design/migrate";
import { MOST_VARIANTS } from "../../../knife/design/variant";
import { RECORD_VERSION } from "../../../knife/design/version";
import { LARGEST_KNIFE_BYTES } from "./format";
import { readDesign, readKnife, readKnifeValue } from "./read";
import { fixedOnly, readFixed } from "./readFixed";
import { writeKnife, writeKnifeWithin } from "./write";

const FIXTURES = "src/core/exchange/files/knife/fixtures";
const raw = (name: string) => JSON.parse(readFileSync(`${FIXTURES}/${name}.json`, "utf8")).knife;

/** Weight (g) and balance (mm) that the program of their own version gave these files. */
const WEIGHED: Readonly<Record<string, readonly [number, number]>> = {
  "v1-rook-hunter": [161.3155, -32.6666],
  "v2-gorse-guard-knife": [193.6883, -22.7443],
  "v2-marsh-stick-tang": [161.3952, -19.5528],
  "v3-bracken-dagger": [292.2277, -26.387],
  "v4-reed-take-down-hunter": [162.1519, -15.2672],
  "v5-holm-leather-stack": [173.933, -11.6813],
  // Its leaning bolsters were read 0.03 % too large once.
  "v6-tarn-ready-made-blade": [220.7192, -27.9186],
  "v7-sallow-camp-chopper": [542.4549, 6.7568],
  "v8-wren-neck-knife": [64.1302, -26.1283],
  "v9-tarn-ready-made-blade": [220.7194, -27.9186],
  "v10-hern-long-blade": [1093.4003, 90.5161],
  "v11-heath-field-knife": [160.2462, -22.9852],
  "v12-heath-field-knife": [160.2462, -22.9852],
  "v13-hern-long-blade": [1093.4003, 90.5161],
  "v14-sallow-camp-chopper": [541.0824, 13.4796],
  "v15-wren-neck-knife": [64.1302, -26.1283],
  "v16-gorse-guard-knife": [192.0913, -23.7366],
  "v17-heath-field-knife": [160.2462, -22.9852],
};
const bytes = (text: string) => new TextEncoder().encode(text);

describe("knife files", () => {
  it("come back as they were written", () => {
    const design = newDesign("Sedge");
    const reading = readKnife(bytes(writeKnife(design)));
    expect(reading).toEqual({ ok: true, design, variants: [] });
  });

  it.each(readdirSync("demo").filter((f) => f.endsWith(".json")))(
    "%s is read, and written as it stands",
    (file) => {
      const text = readFileSync(`demo/${file}`, "utf8");
      const reading = readKnife(bytes(text));
      if (!reading.ok) throw new Error(reading.code);
      expect(JSON.parse(writeKnife(reading.design))).toEqual(JSON.parse(text));
    },
  );

  it("are refused for their size before they are read", () => {
    const huge = new Uint8Array(LARGEST_KNIFE_BYTES + 1);
    expect(readKnife(huge)).toEqual({
      ok: false,
      code: "too-large",
      bytes: LARGEST_KNIFE_BYTES + 1,
      limit: LARGEST_KNIFE_BYTES,
    });
  });

  it("name the line where they stop being JSON", () => {
    const cut = writeKnife(newDesign("Sedge")).slice(0, 200);
    const lines = cut.split("\n").length;
    expect(readKnife(bytes(cut))).toMatchObject({ ok: false, code: "not-json", line: lines });
    expect(readKnife(bytes('{\n  "format": oops\n}'))).toMatchObject({
      ok: false,
      code: "not-json",
      line: 2,
    });
  });

  it.each([
    ["[]", "foreign"],
    ["null", "foreign"],
    ['{"format":"other"}', "foreign"],
    ['{"format":"euaxis-knife"}', "no-version"],
    ['{"format":"euaxis-knife","version":"1"}', "no-version"],
    ['{"format":"euaxis-knife","version":0}', "no-version"],
    [`{"format":"euaxis-knife","version":${RECORD_VERSION + 1}}`, "newer"],
    [`{"format":"euaxis-knife","version":${RECORD_VERSION}}`, "invalid"],
  ])("%s is refused as %s", (text, code) => {
    expect(readKnife(bytes(text))).toMatchObject({ ok: false, code });
  });

  it("name the place of a field that is wrong or unknown", () => {
    const design = newDesign("Sedge");
    const with_ = (change: object) => readKnife(bytes(writeKnife({ ...design, ...change })));
    const bad = with_({ blade: { ...design.blade, edgeMm: "thin" } });
    expect(bad).toMatchObject({ code: "invalid", problems: [{ path: "knife.blade.edgeMm" }] });
    const pins = with_({ fasteners: [design.fasteners[0], { ...design.fasteners[1], diameterMm: -1 }] });
    expect(pins).toMatchObject({ code: "invalid", problems: [{ path: "knife.fasteners[1].diameterMm" }] });
    expect(with_({ scabbard: true })).toMatchObject({ code: "invalid" });
  });

  it("carry variants, each whole, and refuse one that is not", () => {
    const design = newDesign("Sedge");
    const slim = { ...design, blade: { ...design.blade, spineMm: 3 } };
    const text = writeKnife(design, [{ name: "Slim", design: slim }]);
    const variants = [{ name: "Slim", design: slim }];
    expect(readKnife(bytes(text))).toEqual({ ok: true, design, variants });
    const file = JSON.parse(text);
    const bent = (change: object) =>
      readKnifeValue({ ...file, variants: [{ ...file.variants[0], ...change }] });
    expect(bent({ name: " " })).toMatchObject({ code: "invalid", problems: [{ path: "variants[0].name" }] });
    const thick = { ...slim, blade: { ...slim.blade, spineMm: 99 } };
    expect(bent({ knife: thick })).toMatchObject({ problems: [{ path: "variants[0].knife.blade.spineMm" }] });
    const crowd = Array.from({ length: MOST_VARIANTS + 1 }, () => file.variants[0]);
    expect(readKnifeValue({ ...file, variants: crowd })).toMatchObject({ problems: [{ path: "variants" }] });
    expect(readKnifeValue({ ...file, variants: "many" })).toMatchObject({ code: "invalid" });
  });

  it("leave out, and tell of, the variants that a reader would not take for their size", () => {
    const design = newDesign("Sedge");
    const variants = ["a", "b", "c"].map((name) => ({ name, design }));
    const all = writeKnife(design, variants);
    expect(writeKnifeWithin(design, variants)).toEqual({ text: all, leftOut: 0 });
    const some = writeKnifeWithin(design, variants, bytes(all).byteLength - 1);
    expect(some.leftOut).toBe(1);
    expect(readKnife(bytes(some.text))).toEqual({ ok: true, design, variants: variants.slice(0, 2) });
    expect(writeKnifeWithin(design, variants, 10)).toEqual({ text: writeKnife(design), leftOut: 3 });
  });

  it("never throw, whatever the bytes", () => {
    const good = bytes(writeKnife(newDesign("Sedge")));
    fc.assert(
      fc.property(fc.nat(good.length - 1), fc.integer({ min: 0, max: 255 }), (at, value) => {
        const bent = good.slice();
        bent[at] = value;
        return typeof readKnife(bent).ok === "boolean";
      }),
      { seed: 99, numRuns: 300 },
    );
  });
});

describe("migrations", () => {
  it("open the file that version 1 wrote, with all that it held", () => {
    const reading = readFixed(readFileSync(`${FIXTURES}/v1-rook-hunter.json`));
    if (!reading.ok) throw new Error(JSON.stringify(reading));
    expect(reading.design.guard).toBeNull();
    // All that it held is still there, but for the roundness, which each point of the plan has now.
    const { roundness, ...handle } = raw("v1-rook-hunter").handle;
    expect(reading.design).toMatchObject({ ...raw("v1-rook-hunter"), handle });
    expect(reading.design.handle.plan.every((p) => p.roundness === roundness)).toBe(true);
  });

  it.each(readdirSync(FIXTURES).map((f) => f.replace(".json", "")))(
    "%s weighs what it always did",
    (name) => {
      const reading = readFixed(readFileSync(`${FIXTURES}/${name}.json`));
      if (!reading.ok) throw new Error(JSON.stringify(reading));
      const weighing = weigh(reading.design);
      if (!weighing.ok) throw new Error(JSON.stringify(weighing.findings));
      expect(weighing.report.massG).toBeCloseTo(WEIGHED[name][0], 3);
      expect(weighing.report.balanceMm).toBeCloseTo(WEIGHED[name][1], 3);
    },
  );

  it("wait a day before grinding, and have materials without other names, where version 13 said neither", () => {
    const reading = readFixed(readFileSync(`${FIXTURES}/v13-hern-long-blade.json`));
    if (!reading.ok) throw new Error(JSON.stringify(reading));
    expect(reading.design.workshop.glue).toEqual({
      ...raw("v13-hern-long-blade").workshop.glue,
      leastCureH: 24,
    });
    expect(reading.design.materials.length).toBeGreaterThan(0);
    for (const m of reading.design.materials) expect(m.otherNames).toEqual([]);
  });

  it("are held in one grip where version 14 had a grip point", () => {
    const reading = readFixed(readFileSync(`${FIXTURES}/v14-sallow-camp-chopper.json`));
    if (!reading.ok) throw new Error(JSON.stringify(reading));
    const { gripMm, ...rest } = raw("v14-sallow-camp-chopper").use;
    const windows = { momentNmm: null, percussionMm: null, effectiveMassG: null };
    expect(reading.design.use).toEqual({
      ...rest,
      grips: [{ id: "grip-1", name: "Working", xMm: gripMm, ...windows }],
    });
  });

  it("have smooth faces, and a list of wraps where version 15 had one", () => {
    const reading = readFixed(readFileSync(`${FIXTURES}/v15-wren-neck-knife.json`));
    if (!reading.ok) throw new Error(JSON.stringify(reading));
    expect(reading.design.handle.wraps).toEqual([raw("v15-wren-neck-knife").handle.wrap]);
    expect(reading.design.blade.face).toBeNull();
    // What was drawn when it was weighed is brought up to date as well.
    const inHand = readFixed(readFileSync(`${FIXTURES}/v9-tarn-ready-made-blade.json`));
    if (!inHand.ok) throw new Error(JSON.stringify(inHand));
    const then = inHand.design.blade.measured?.of.asWeighed;
    expect(then && "blade" in then ? then.blade.face : "none").toBeNull();
  });

  it("match a maker's stock by keys where version 5 had English names", () => {
    const reading = readFixed(readFileSync(`${FIXTURES}/v5-holm-leather-stack.json`));
    if (!reading.ok) throw new Error(JSON.stringify(reading));
    const { handle, fitUp, guard } = reading.design;
    if (handle.kind !== "stack") throw new Error("no pieces");
    expect(fitUp.stock.have.map((h) => h.piece)).toEqual(["guard", `piece:${handle.pieces[1].id}`]);
    expect(fitUp.accepted.map((a) => a.subject)).toEqual(["guard"]);
    expect(guard?.fittings.map((f) => f.kind)).not.toContain("knuckleBow");
    const cut = cutList(reading.design);
    for (const { piece } of fitUp.stock.have) expect(cut.find((c) => c.id === piece)?.have).not.toBeNull();
    const named = (name: string, more: object) => {
      const have = [{ piece: name, lengthMm: 1, heightMm: 1, thicknessMm: 1 }];
      const record = { handle: more, guard: null, fitUp: { accepted: [], stock: { have } } };
      return (migrate(record, 5) as typeof record).fitUp.stock.have[0].piece;
    };
    const joints = [
      { id: "rear", xMm: -80 },
      { id: "fore", xMm: -40 },
    ];
    const names: [string, object, string][] = [
      ["Scale, pair", {}, "scale:pair"],
      ["Scale 2, left", {}, "scale:2:left"],
      ["Liner 1, pair", { liners: [{}] }, "liner:pair"],
      ["Liner 2, right", { liners: [{}, {}] }, "liner:2:right"],
      ["Front bolsters, pair", {}, "bolster:front:pair"],
      ["Rear bolster, left", {}, "bolster:rear:left"],
      ["Divider 1", { joints }, "divider:fore"],
      ["Guard plate 2", {}, "guard:2"],
      ["Tang, welded on", {}, "tang-rest"],
      ["Frame", {}, "frame"],
      ["Something else", {}, "Something else"],
    ];
    for (const [name, more, id] of names) expect(named(name, more)).toBe(id);
  });

  it("keep the drawing of a blade in the hand as it was weighed, with its holes or without, and turn windows", () => {
    const reading = readFixed(readFileSync(`${FIXTURES}/v6-tarn-ready-made-blade.json`));
    if (!reading.ok) throw new Error(JSON.stringify(reading));
    const { blade, tang, handle, fasteners } = reading.design;
    const { measured, ...drawn } = blade;
    if (measured?.of.kind !== "blade") throw new Error("no blade in the hand");
    expect(measured.of.asWeighed).toMatchObject({ blade: drawn, tang, outline: handle.outline });
    expect(measured.of.asWeighed?.bores).toHaveLength(fasteners.length);
    const before = raw("v6-tarn-ready-made-blade");
    before.blade.measured.holesIn = false;
    before.tang.holes = [{ id: "h", xMm: -50, yMm: 0, diameterMm: 6, fill: null, purpose: "lighten" }];
    before.use.balanceMm = { low: 10, high: -10 };
    const undrilled = fixedOnly(readDesign(before, 6));
    if (!undrilled.ok) throw new Error(JSON.stringify(undrilled));
    expect(undrilled.design.use.balanceMm).toEqual({ low: -10, high: 10 });
    expect(undrilled.design.blade.measured?.of.asWeighed).toMatchObject({ bores: [], tang: { holes: [] } });
    expect(undrilled.design.tang).toMatchObject({ holes: [{ id: "h" }] });
  });

  it("have no gap from the first version to the present one", () => {
    for (let v = 1; v < RECORD_VERSION; v++)
      expect(MIGRATIONS[v], `from version ${v}`).toBeTypeOf("function");
    expect(Object.keys(MIGRATIONS)).toHaveLength(RECORD_VERSION - 1);
  });

  it("leave a record of the present version alone", () => {
    const record = { any: "thing" };
    expect(migrate(record, RECORD_VERSION)).toBe(record);
  });
});
