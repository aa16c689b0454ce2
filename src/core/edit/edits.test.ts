import { readFileSync } from "node:fs";
import { describe, expect, it } from "vitest";
import { CONSTRUCTIONS } from "../knife/design/constructions.fixtures";
import { newDesign } from "../knife/design/create";
import { recordRefusal } from "../knife/design/refusal";
import { type Design, designSchema } from "../knife/design/schema";
import { fixedRecord } from "../products/fixedRecord";
import { applyEdit } from "./applyEdit";
import { COMMON_EDITS } from "./common";
import { EDIT_EXAMPLES } from "./edits.fixtures";
import { FIXED_EDITS, type FixedEdit } from "./fixed/edits";
import { keptEdit, noted, readKeptEdit, stepBetween } from "./kept";

const apply = (design: Design, edit: FixedEdit) =>
  fixedRecord.tidied(applyEdit(FIXED_EDITS, design, edit), design);
const plain = newDesign("Sedge");

describe.each(Object.entries(EDIT_EXAMPLES))("the edit %s", (_, [before, edit]) => {
  const after = apply(before, edit);

  it("changes the design into another that a file can hold, and leaves the one before as it was", () => {
    const copy = structuredClone(before);
    expect(apply(before, edit)).not.toEqual(before);
    expect(recordRefusal(designSchema, after)).toBeNull();
    expect(before).toEqual(copy);
  });

  it("is plain data: it does the same when it was written down and read", () => {
    expect(apply(before, JSON.parse(JSON.stringify(edit)))).toEqual(after);
  });

  it("is taken back and done again by its step, which keeps what tells of it and no more", () => {
    const step = stepBetween(before, after, keptEdit(edit));
    expect({ ...after, ...step.before }).toEqual(before);
    expect({ ...before, ...step.after }).toEqual(after);
    expect(JSON.stringify(step.edit).length).toBeLessThan(400);
    expect(readKeptEdit(JSON.parse(JSON.stringify(step.edit)))).toEqual(step.edit);
  });

  it("does nothing amiss to a design that has no such thing", () => {
    for (const [name, design] of Object.entries(CONSTRUCTIONS)) {
      const made = apply(design, edit);
      expect(made, name).toBeTypeOf("object");
      expect(
        Object.values(made).some((part) => part === undefined || Number.isNaN(part)),
        name,
      ).toBe(false);
    }
  });
});

describe("edits", () => {
  it("all have an example", () => {
    const codes = [...Object.keys(FIXED_EDITS), ...Object.keys(COMMON_EDITS)];
    expect(Object.keys(EDIT_EXAMPLES).sort()).toEqual(codes.sort());
  });

  it("stand in docs/format.md, each", () => {
    const documented = readFileSync("docs/format.md", "utf8");
    for (const code of Object.keys(EDIT_EXAMPLES)) expect(documented, code).toContain(`| \`${code}\` |`);
  });

  it("of a code that there is not are refused, and so are those by the names that every object has", () => {
    for (const code of ["nothing", "toString", "__proto__"])
      expect(() => applyEdit(FIXED_EDITS, plain, { code })).toThrow(/no edit/);
  });

  it("whose path leads nowhere give back the very same design", () => {
    const nowhere = [
      { code: "set", path: "blade.nothing", to: 3 },
      { code: "set", path: "__proto__.polluted", to: 3 },
      { code: "clear", path: "guard.plates.0" },
      { code: "add", list: "blade.spineMm", item: 1 },
      { code: "remove", list: "fasteners", at: 99 },
      { code: "remove", list: "fasteners", at: -1 },
      { code: "reorder", list: "fasteners", from: 0, to: 9 },
      { code: "remove-point", view: "side", step: "pins", id: "gone", name: { point: "tip" } },
    ];
    for (const edit of nowhere) expect(applyEdit(FIXED_EDITS, plain, edit)).toBe(plain);
    expect(({} as { polluted?: number }).polluted).toBeUndefined();
  });

  it("that change nothing give back the very same design: there is nothing to undo", () => {
    const once = apply(plain, { code: "lay-pins", lay: "on-the-middle" });
    expect(apply(once, { code: "lay-pins", lay: "on-the-middle" })).toBe(once);
    const matched = apply(plain, { code: "match-scales" });
    expect(apply(matched, { code: "match-scales" })).toBe(matched);
    expect(apply(plain, { code: "set", path: "blade.spineMm", to: plain.blade.spineMm })).toBe(plain);
    expect(apply(plain, { code: "plate-remove", at: 7 })).toBe(plain);
  });

  it("leave alone what they do not change: it stays the very same object", () => {
    const thicker = apply(plain, { code: "set", path: "blade.spineMm", to: 5 });
    expect(thicker.blade).not.toBe(plain.blade);
    expect(thicker.blade.tip).toBe(plain.blade.tip);
    expect(thicker.handle).toBe(plain.handle);
  });
});

describe("what is kept of an edit", () => {
  it("is its small plain fields: no design, no item, no long text", () => {
    expect(keptEdit({ code: "take-variant", name: "Slim", design: plain } as never)).toEqual({
      code: "take-variant",
      name: "Slim",
    });
    expect(keptEdit({ code: "set", path: "notes", to: "x".repeat(200) } as never)).toEqual({
      code: "set",
      path: "notes",
    });
  });

  it("is nothing where no edit was kept", () => {
    for (const value of [undefined, null, "Change", 3, [], {}, { code: 4 }])
      expect(readKeptEdit(value)).toBeNull();
    expect(readKeptEdit(noted("Change spine"))).toEqual({ code: "noted", says: "Change spine" });
  });
});
