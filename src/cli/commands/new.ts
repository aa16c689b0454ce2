import { writeKnife } from "@/core/exchange/files/knife/write";
import { RECORDS } from "@/core/products/records";
import { startName } from "@/words/startingForms";
import { command, usageOf } from "../command";
import { writeTo } from "../input";
import { Refusal } from "../refusal";

/** The starting forms of every product. */
const starts = () => RECORDS.flatMap((r) => r.starts);

/** The names of the starting forms, or a file with a new design of one. */
export const newKnife = command({
  name: "new",
  says: "writes a knife to begin from",
  args: ["[FORM]"],
  options: {
    out: { value: "FILE.json", says: "where to" },
    list: { value: null, says: "names the forms instead" },
  },
  run: async ({ args: [form], text, has }) => {
    const codes = starts().map((s) => s.code);
    if (has("list")) return codes;
    const out = text("out");
    if (!form || !out) throw new Refusal(`FORM and --out are needed; usage: ${usageOf(newKnife)}`);
    const start = starts().find((s) => s.code === form);
    if (!start) throw new Refusal(`no form "${form}"; there are: ${codes.join(", ")}`);
    await writeTo(out, writeKnife(start.begin(startName(form))));
    return { form, out };
  },
});
