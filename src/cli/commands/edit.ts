import { isRecord } from "@/core/base/isRecord";
import { roundTo } from "@/core/base/number";
import { valueAt } from "@/core/base/record/path";
import { parseLength } from "@/core/base/units/length";
import { applyEdit } from "@/core/edit/applyEdit";
import type { AnyEdit } from "@/core/edit/table";
import { writeKnife } from "@/core/exchange/files/knife/write";
import { materialsIn } from "@/core/knife/design/materials";
import type { ProductDesign } from "@/core/knife/design/product";
import { recordRefusal } from "@/core/knife/design/refusal";
import { isFixed } from "@/core/knife/design/schema";
import { modelOf } from "@/core/products/modelOf";
import { recordOf } from "@/core/products/recordOf";
import { editWords } from "@/words/edits";
import { findingWords } from "@/words/findings";
import { problemWords } from "@/words/problems";
import { command, usageOf } from "../command";
import { bytesOf, knifeIn, withinTime, writeTo } from "../input";
import { Refusal } from "../refusal";

/** A value as it is typed: a length in any unit where a length stands, else a number, true, false, null or a text. */
function typedValue(design: ProductDesign, path: string, text: string): unknown {
  if (path.endsWith("Mm") && typeof valueAt(design, path) === "number") {
    const length = parseLength(text, "mm");
    if (!length.ok) throw new Refusal(`"${text}" is no length for ${path}`);
    return roundTo(length.mm, 6);
  }
  try {
    const value: unknown = JSON.parse(text);
    return typeof value === "object" && value !== null ? text : value;
  } catch {
    return text;
  }
}

/** "blade.spineMm=4.2; guard.widthMm=3/8in" as edits. */
function setsIn(design: ProductDesign, text: string): AnyEdit[] {
  return text.split(";").map((part) => {
    const [path, ...rest] = part.split("=");
    const at = path.trim();
    if (rest.length === 0) throw new Refusal(`--set is PATH=VALUE, not "${part.trim()}"`);
    if (valueAt(design, at) === undefined) throw new Refusal(`the knife has no "${at}"`);
    return { code: "set", path: at, to: typedValue(design, at, rest.join("=").trim()) } as AnyEdit;
  });
}

/** A list of edits as JSON. */
async function editsIn(path: string): Promise<AnyEdit[]> {
  const text = new TextDecoder().decode(await bytesOf(path));
  let list: unknown;
  try {
    list = JSON.parse(text);
  } catch {
    throw new Refusal(`${path} is no JSON`);
  }
  const all = Array.isArray(list) ? list : [list];
  if (!all.every((e) => isRecord(e) && typeof e.code === "string"))
    throw new Refusal(`${path} is no list of edits, each with its "code"`);
  return all as AnyEdit[];
}

/** The design with one edit more; one that says less than it needs, or what no file could hold, is refused. */
function edited(design: ProductDesign, edit: AnyEdit, place: string): ProductDesign {
  const record = recordOf(design);
  const make = (): ProductDesign => {
    try {
      return record.tidied(applyEdit(record.edits, design, edit), design);
    } catch (error) {
      const reason = error instanceof Error && /^no edit/.test(error.message) ? error.message : null;
      throw new Refusal(`${place}: ${reason ?? `"${edit.code}" does not say what it needs`}`);
    }
  };
  const next = make();
  const refused = recordRefusal(record.schema, next);
  if (refused) throw new Refusal(`${place}: ${problemWords(refused)}`);
  const [problem] = record.problems(next);
  if (problem) throw new Refusal(`${place}: ${problem.message}`);
  return next;
}

export const edit = command({
  name: "edit",
  says: "changes a knife by edits, and writes it",
  args: ["FILE"],
  options: {
    set: { value: "PATH=VALUE", says: "values to set, by their paths in the file; several with ; between" },
    edits: { value: "EDITS.json", says: "a list of edits, each a code with its fields (docs/format.md)" },
    out: { value: "NEW.json", says: "where to", needed: true },
  },
  run: async ({ args: [path], text, needed }) => {
    const { design, variants } = await knifeIn(path);
    const [sets, file] = [text("set"), text("edits")];
    if (!sets && !file) throw new Refusal(`--set or --edits is needed; usage: ${usageOf(edit)}`);
    const edits = [...(sets ? setsIn(design, sets) : []), ...(file ? await editsIn(file) : [])];
    const says: string[] = [];
    const made = withinTime(() =>
      edits.reduce((d, e, i) => {
        const next = edited(d, e, `edit ${i + 1}`);
        if (isFixed(d)) says.push(next === d ? "Nothing to change" : editWords(e, d, "metric"));
        return next;
      }, design),
    );
    const weighing = withinTime(() => modelOf(made).weigh(made));
    await writeTo(needed("out"), writeKnife(made, variants));
    return {
      says,
      massG: weighing.ok ? weighing.report.massG : null,
      balanceMm: weighing.ok ? weighing.report.balanceMm : null,
      cannotBeBuilt: weighing.ok
        ? []
        : weighing.findings
            .filter((f) => f.severity === "error")
            .map((f) => findingWords(f, "metric", materialsIn(made))),
      out: needed("out"),
    };
  },
});
