import { STARTING_FORMS, startingForm } from "@/core/design/startingForms";
import { writeKnife } from "@/core/files/knife/write";
import { FORM_WORDS } from "@/words/startingForms";
import { command, usageOf } from "../command";
import { writeTo } from "../input";
import { Refusal } from "../refusal";

/** The names of the starting forms, or a file with a new knife of one. */
export const newKnife = command({
  name: "new",
  says: "writes a knife to begin from",
  args: ["[FORM]"],
  options: {
    out: { value: "FILE.json", says: "where to" },
    list: { value: null, says: "names the forms instead" },
  },
  run: async ({ args: [form], text, has }) => {
    if (has("list")) return STARTING_FORMS;
    const out = text("out");
    if (!form || !out) throw new Refusal(`FORM and --out are needed; usage: ${usageOf(newKnife)}`);
    const known = STARTING_FORMS.find((f) => f === form);
    if (!known) throw new Refusal(`no form "${form}"; there are: ${STARTING_FORMS.join(", ")}`);
    await writeTo(out, writeKnife(startingForm(known, FORM_WORDS[known].name)));
    return { form, out };
  },
});
