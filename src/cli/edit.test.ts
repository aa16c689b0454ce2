import { mkdtempSync, readFileSync, writeFileSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { describe, expect, it } from "vitest";
import { euaxis, json } from "./shell.fixtures";

describe("the shell's edit", () => {
  it("changes a knife by values and by edits, and refuses what is no edit, no value or no knife", async () => {
    const folder = mkdtempSync(join(tmpdir(), "euaxis-edit-"));
    const out = join(folder, "out.json");
    const from = "demo/heath-field-knife.json";
    const before = await json("weigh", from);
    const set = await json("edit", from, "--set", "blade.spineMm=3/16in; name=Rush", "--out", out);
    expect(set.says).toEqual(["Change spine", "Rename"]);
    expect(set.massG).toBeGreaterThan(before.massG);
    expect((await json("weigh", out)).massG).toBe(set.massG);
    const written = JSON.parse(readFileSync(out, "utf8")).knife;
    expect(written).toMatchObject({ name: "Rush", blade: { spineMm: 4.7625 } });
    const edits = join(folder, "edits.json");
    writeFileSync(
      edits,
      JSON.stringify([{ code: "remove", list: "fasteners", at: 0 }, { code: "follow-spine" }]),
    );
    const by = await json("edit", from, "--edits", edits, "--out", out);
    expect(by.says[0]).toBe("Remove fastener");
    expect(JSON.parse(readFileSync(out, "utf8")).knife.fasteners).toHaveLength(
      JSON.parse(readFileSync(from, "utf8")).knife.fasteners.length - 1,
    );
    const unbuilt = await json("edit", from, "--set", "blade.ricassoMm=190", "--out", out);
    expect(unbuilt).toMatchObject({ massG: null, cannotBeBuilt: [expect.any(String)] });
    const bad = (text: string) => {
      const file = join(folder, `bad-${text.length}.json`);
      writeFileSync(file, text);
      return ["edit", from, "--edits", file, "--out", out];
    };
    for (const args of [
      ["edit", from, "--out", out],
      ["edit", from, "--set", "blade.spineMm", "--out", out],
      ["edit", from, "--set", "blade.nothing=3", "--out", out],
      ["edit", from, "--set", "__proto__.x=3", "--out", out],
      ["edit", from, "--set", "blade.spineMm=thick", "--out", out],
      ["edit", from, "--set", "blade.spineMm=500", "--out", out],
      bad("["),
      bad("[3]"),
      bad('[{"code":"nothing"}]'),
      bad('[{"code":"add"}]'),
      bad(
        '[{"code":"add","list":"meshes","item":{"id":"m","name":"m","vertices":"AAAA","triangles":"AAAA"}}]',
      ),
      bad('[{"code":"set","path":"blade","to":null}]'),
    ]) {
      const { code, out: said, errors } = await euaxis(...args);
      expect([code, said, errors.length], args.join(" ")).toEqual([2, "", 1]);
    }
  });
});
