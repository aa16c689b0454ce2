import { spawnSync } from "node:child_process";
import { mkdtempSync, statSync, writeFileSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { describe, expect, it } from "vitest";
import { MATERIALS } from "@/core/materials/materials";
import { bundled } from "../../scripts/lib/setUp.mjs";
import { usageOf } from "./command";
import { COMMANDS } from "./commands";
import { euaxis, json } from "./shell.fixtures";

describe("the command line", () => {
  it("weighs a knife as JSON", async () => {
    const { code, out } = await euaxis("weigh", "demo/heath-field-knife.json");
    expect(code).toBe(0);
    const answer = JSON.parse(out);
    expect(Object.keys(answer)).toEqual([
      "massG",
      "balanceMm",
      "centreMm",
      "inertiaGmm2",
      "massIntervalG",
      "balanceIntervalMm",
      "parts",
    ]);
    expect(Object.keys(answer.inertiaGmm2)).toEqual(["xx", "yy", "zz", "xy", "xz", "yz"]);
    expect(Object.keys(answer.parts[0])).toEqual([
      "id",
      "name",
      "material",
      "volumeMm3",
      "massG",
      "centreMm",
    ]);
    expect(answer.centreMm[0]).toBe(answer.balanceMm);
  });

  it("lists the materials as JSON, run as the README says", () => {
    const { status, stdout } = spawnSync("npm", ["run", "-s", "euaxis", "--", "materials"], {
      encoding: "utf8",
    });
    expect(status).toBe(0);
    const list = JSON.parse(stdout);
    expect(list).toHaveLength(MATERIALS.length);
    expect(list[0]).toMatchObject({
      id: expect.any(String),
      class: "steel",
      densityGcc: { typical: expect.any(Number) },
    });
  });

  it("ends as a program of its own with code 2, nothing on standard output and one line on the other", async () => {
    const program = await bundled("src/cli/main.ts", "cli.mjs");
    const done = spawnSync(process.execPath, [program, "drill", "3in"], { encoding: "utf8" });
    expect([done.status, done.stdout]).toEqual([2, ""]);
    expect(done.stderr).toBe("no drill of that set fits 3in\n");
  });

  it("has help for each command, and a list of them", async () => {
    const { out } = await euaxis("help");
    for (const of of COMMANDS) {
      expect(out).toContain(`  ${of.name} `);
      const help = await euaxis("help", of.name);
      expect(help).toMatchObject({ code: 0, errors: [] });
      expect(help.out).toContain(`usage: ${usageOf(of)}`);
      for (const [option, { says }] of Object.entries(of.options))
        expect(help.out.split("\n").some((l) => l.includes(`--${option}`) && l.endsWith(says))).toBe(true);
      expect(await euaxis(of.name, "--help")).toEqual(help);
    }
    expect(await euaxis("help", "fly")).toMatchObject({ code: 2 });
  });

  it.each([
    [["weigh"], "FILE is missing; usage: euaxis weigh FILE"],
    [["weigh", "a", "b"], '"b" is one too many; usage: euaxis weigh FILE'],
    [
      ["tune", "a.json"],
      "--balance is missing; usage: euaxis tune FILE --balance LO..HI [--mass LO..HI] [--grips]",
    ],
    [
      ["dynamics", "a.json", "--grip"],
      "Option '--grip <value>' argument missing; usage: euaxis dynamics FILE [--grip MM]",
    ],
    [
      ["dynamics", "a.json", "--grope", "3"],
      "Unknown option '--grope'; usage: euaxis dynamics FILE [--grip MM]",
    ],
    [
      ["new", "--list=yes"],
      "Option '--list' does not take an argument; usage: euaxis new [FORM] [--out FILE.json] [--list]",
    ],
    [["fly"], /^no command "fly"; there are: weigh, .*, help$/],
    [[], "no command is given; usage: euaxis COMMAND …, or euaxis help"],
  ] as const)("refuses %s with the usage of its command", async (args, line) => {
    const { code, errors } = await euaxis(...args);
    expect(code).toBe(2);
    expect(errors).toEqual([typeof line === "string" ? line : expect.stringMatching(line)]);
  });

  it("tells the density of a weighed piece, and refuses what is no weight or no box in one line", async () => {
    const found = await json("density", "--mass", "41.2g", "--size", "120x40x10mm");
    expect(Object.keys(found)).toEqual(["densityGcc", "plusMinus"]);
    expect(found.densityGcc).toBeCloseTo(0.8583, 4);
    for (const bad of [
      ["--mass", "heavy", "--size", "1x1x1mm"],
      ["--mass", "5g", "--size", "1x1mm"],
      ["--mass", "5g", "--size", "0x1x1mm"],
      ["--mass", "5g"],
    ]) {
      const { code, errors } = await euaxis("density", ...bad);
      expect([code, errors.length], bad.join(" ")).toEqual([2, 1]);
    }
  });

  it("finds materials by everyday words, best first", async () => {
    const found = await json("materials", "--search", "aluminum 7075");
    expect(found.map((m: { id: string }) => m.id)).toEqual(["aluminium-7075"]);
  });

  it("answers bad input with code 2 and one line on standard error", async () => {
    const folder = mkdtempSync(join(tmpdir(), "euaxis-"));
    const bad = join(folder, "bad.json");
    writeFileSync(bad, '{"format": "euaxis-knife", "version": 1, "knife": {}}');
    for (const args of [
      ["weigh", join(folder, "none.json")],
      ["weigh", folder],
      ["weigh", bad],
      ["weigh"],
      ["fly"],
      [],
    ]) {
      const { code, out, errors } = await euaxis(...args);
      expect(code, args.join(" ")).toBe(2);
      expect(out).toBe("");
      expect(errors, args.join(" ")).toHaveLength(1);
    }
  });

  it("names the drill for a pin, from the set of its unit or the one that is asked for", async () => {
    const drill = (...args: string[]) => json("drill", ...args);
    expect(await drill("1/4in", "--fit", "slide")).toEqual({
      name: "F",
      mm: expect.closeTo(6.5278, 9),
      inch: 0.257,
      clearanceMm: expect.closeTo(0.1778, 9),
    });
    expect(await drill("6mm")).toMatchObject({ name: "6.1 mm" });
    expect(await drill("1/4in", "--set", "metric")).toMatchObject({ name: "6.4 mm" });
    for (const args of [["soon"], ["1/4in", "--fit", "loose"], ["1/4in", "--set", "own"], ["3in"], []]) {
      const { code, errors } = await euaxis("drill", ...args);
      expect([code, errors.length], args.join(" ")).toEqual([2, 1]);
    }
  });

  it("prints findings with measure, limit and fix, and the fit-up sheet", async () => {
    const findings = await json("review", "demo/marsh-stick-tang.json");
    const sharp = findings.find((f: { rule: string }) => f.rule === "shoulder-sharp");
    expect(sharp).toMatchObject({
      severity: "warning",
      at: { x: 0 },
      measured: 0,
      limit: 1,
      fixes: [{ fix: { kind: "set", changes: [{ path: "tang.shoulderRadiusMm", value: 1 }] } }],
    });
    const sheet = await json("fit", "demo/marsh-stick-tang.json");
    expect(sheet.bores[0]).toMatchObject({ use: "pin", drill: { name: "#30" } });
    expect(sheet.slot.mill.cutterMm).toBeLessThanOrEqual(sheet.slot.thicknessMm);
    expect(await euaxis("fit", "no-such.json")).toMatchObject({ code: 2 });
  });

  it("prints what keeps a knife from being built, each with what would mend it, and warnings beside", async () => {
    const file = join(mkdtempSync(join(tmpdir(), "euaxis-")), "broken.json");
    const edited = await euaxis(
      "edit",
      "demo/marsh-stick-tang.json",
      "--set",
      "blade.edgeMm=4.5",
      "--out",
      file,
    );
    const broken = edited.code === 0 ? file : null;
    if (!broken) throw new Error(edited.errors.join());
    const findings = await json("review", broken);
    const errors = findings.filter((f: { severity: string }) => f.severity === "error");
    expect(errors.map((f: { rule: string }) => f.rule)).toContain("edge-thicker-than-spine");
    for (const { fixes, says } of errors) {
      expect(fixes.length, says).toBeGreaterThan(0);
      expect(fixes[0]).toMatchObject({ massG: null, balanceMm: null });
    }
  });

  it("writes the mesh of a part, and refuses an unknown part, ending or place", async () => {
    const folder = mkdtempSync(join(tmpdir(), "euaxis-"));
    const out = join(folder, "guard.stl");
    const done = await euaxis("mesh", "demo/gorse-guard-knife.json", "--part", "guard", "--out", out);
    expect(JSON.parse(done.out)).toMatchObject({ part: "guard", format: "stl" });
    expect(statSync(out).size).toBe(JSON.parse(done.out).bytes);
    const refused = [
      ["--part", "pommel", "--out", out],
      ["--out", join(folder, "guard.obj")],
      ["--out", join(folder, "nowhere", "guard.stl")],
      [],
    ];
    for (const args of refused) {
      const { code, errors } = await euaxis("mesh", "demo/gorse-guard-knife.json", ...args);
      expect([code, errors.length], args.join(" ")).toEqual([2, 1]);
    }
  });

  it("draws parts, traces them onto a knife again and prints sheets; what cannot be done ends with 2 and one line", async () => {
    const knife = "demo/heath-field-knife.json";
    const dir = mkdtempSync(join(tmpdir(), "euaxis-draw-"));
    const at = (name: string) => join(dir, name);
    for (const format of ["dxf", "svg"]) {
      const drawn = await json(
        "draw",
        knife,
        "--part",
        "blank",
        "--format",
        format,
        "--out",
        at(`b.${format}`),
      );
      expect(drawn.pieces[0]).toMatchObject({ name: "blank", count: 1, thicknessMm: 4 });
      expect(drawn.pieces[0].holes.length).toBe(6);
      const traced = await json(
        "trace",
        at(`b.${format}`),
        "--onto",
        knife,
        "--as",
        "blank",
        "--out",
        at("n.json"),
      );
      expect(traced.found[0]).toMatchObject({ kind: "outline", layer: "blank" });
      expect(traced.used.length).toBe(7);
      expect(traced.largestDeviationMm).toBeLessThan(0.05);
      const [was, is] = await Promise.all(
        [knife, at("n.json")].map(async (f) => (await json("weigh", f)).massG),
      );
      expect(Math.abs(is / was - 1)).toBeLessThan(1e-3);
    }
    expect(
      (await json("draw", knife, "--part", "liner", "--kerf", "0.2", "--out", at("l.svg"))).pieces.length,
    ).toBe(2);
    const sheet = await json(
      "sheet",
      knife,
      "--kind",
      "templates",
      "--paper",
      "letter",
      "--across",
      "--out",
      at("t.pdf"),
    );
    expect(sheet).toMatchObject({ kind: "templates", paper: "letter" });
    expect(statSync(at("t.pdf")).size).toBeGreaterThan(10_000);
    writeFileSync(
      at("open.svg"),
      '<svg width="200mm" viewBox="0 0 200 40"><path d="M0 0H180V20H0V3"/></svg>',
    );
    writeFileSync(at("bad.dxf"), "blank");
    const listed = await json("trace", at("open.svg"), "--list");
    expect(listed.gapMm).toBeCloseTo(3, 9);
    expect(listed.warnings).toEqual([
      "An outline does not close: its widest gap is 3.00 mm, which can be closed",
    ]);
    writeFileSync(
      at("two.svg"),
      '<svg width="300mm" viewBox="0 0 300 200"><g display="none"><path d="M0 0h9v9z"/></g><path d="M10 10H250V50H10Z"/><path d="M10 80H290V130H10Z"/></svg>',
    );
    const two = await json("trace", at("two.svg"), "--list");
    expect(two.found.map((f: { id: string; widthMm: number }) => [f.id, f.widthMm])).toEqual([
      ["shape-1", 280],
      ["shape-2", 240],
    ]);
    expect(two.warnings).toEqual(["Left out as not seen: 1 line that is not displayed"]);
    const put = ["--onto", knife, "--as", "blank", "--out", at("two.json")];
    const [largest, picked] = [
      await json("trace", at("two.svg"), ...put),
      await json("trace", at("two.svg"), "--pick", "shape-2", ...put),
    ];
    expect([largest.used[0], picked.used[0]]).toEqual(["shape-1", "shape-2"]);
    expect((await json("trace", at("open.svg"), "--close", "3mm", ...put)).found[0].kind).toBe("outline");
    const wrong = [
      ["draw", knife, "--part", "pommel", "--out", at("p.dxf")],
      ["draw", knife, "--part", "blank", "--format", "pdf", "--out", at("p.pdf")],
      ["draw", knife, "--part", "blank", "--kerf", "-1", "--out", at("p.dxf")],
      ["draw", knife, "--part", "blank", "--out", at("no/such/p.dxf")],
      ["sheet", knife, "--kind", "poem", "--out", at("p.pdf")],
      ["sheet", knife, "--kind", "parts", "--paper", "a0", "--out", at("p.pdf")],
      ["sheet", knife, "--kind", "parts", "--printer", "50x100", "--out", at("p.pdf")],
      ["trace", at("b.dxf"), "--onto", knife, "--as", "blank", "--unit", "m", "--out", at("x.json")],
      ["trace", at("b.dxf"), "--onto", knife, "--as", "sheath", "--out", at("x.json")],
      ["trace", at("open.svg"), "--onto", knife, "--as", "blank", "--out", at("x.json")],
      ["trace", at("bad.dxf"), "--onto", knife, "--as", "blank", "--out", at("x.json")],
      ["trace", at("none.dxf"), "--onto", knife, "--as", "blank", "--out", at("x.json")],
      ["trace", knife, "--onto", knife, "--as", "blank", "--out", at("x.json")],
      ["trace", at("two.svg"), "--onto", knife, "--as", "blank"],
      ["trace", at("two.svg"), "--pick", "shape-9", "--onto", knife, "--out", at("x.json")],
      ["trace", at("two.svg"), "--close", "4mm", "--onto", knife, "--out", at("x.json")],
    ];
    for (const args of wrong) {
      const { code, errors, out } = await euaxis(...args);
      expect([code, errors.length, out], args.join(" ")).toEqual([2, 1, ""]);
    }
  }, 120_000);
});
