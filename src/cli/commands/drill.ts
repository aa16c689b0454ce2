import { own } from "@/core/base/own";
import { parseLength } from "@/core/base/units/length";
import { drillsIn } from "@/core/figures/fit/drillSets";
import { pickDrill } from "@/core/figures/fit/pickDrill";
import { DRILL_SETS, type DrillSet, PIN_FITS, type PinFit } from "@/core/knife/design/schema";
import { lengthFailureWords } from "@/words/lengthFailures";
import { command } from "../command";
import { Refusal } from "../refusal";

const DRILLS_OF: Readonly<Record<string, readonly DrillSet[]>> = {
  inch: ["fraction", "number", "letter"],
  metric: ["metric"],
  all: DRILL_SETS,
};

/** The drill for a round part. Inch sizes are drilled from inch sets, others from metric ones, unless it is said. */
export const drill = command({
  name: "drill",
  says: "the drill for a round pin or rod",
  args: ["SIZE"],
  options: {
    fit: { value: PIN_FITS.join("|"), says: "how the pin sits; slide where it is not given" },
    set: {
      value: Object.keys(DRILLS_OF).join("|"),
      says: "the drills to choose from; those of the size's own unit where it is not given",
    },
  },
  run: ({ args: [size], text }) => {
    const reading = parseLength(size, "mm");
    if (!reading.ok) throw new Refusal(lengthFailureWords(reading));
    const wanted = text("fit") ?? "slide";
    if (!(PIN_FITS as readonly string[]).includes(wanted))
      throw new Refusal(`--fit is ${PIN_FITS.join(", ")}, not "${wanted}"`);
    const set = text("set") ?? (reading.form === "mm" ? "metric" : "inch");
    const sets = own(DRILLS_OF, set);
    if (!sets) throw new Refusal(`--set is ${Object.keys(DRILLS_OF).join(", ")}, not "${set}"`);
    const choice = pickDrill(reading.mm, wanted as PinFit, drillsIn(sets));
    if (!choice) throw new Refusal(`no drill of that set fits ${size}`);
    const { name, mm, inch } = choice.drill;
    return { name, mm, inch, clearanceMm: choice.clearanceMm };
  },
});
