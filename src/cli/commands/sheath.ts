import { parseLength } from "@/core/base/units/length";
import { materialsIn } from "@/core/knife/design/materials";
import { sheathMassG, sheathPattern } from "@/core/sheath/pattern";
import { LEATHER, OUNCE_MM, SHEATH_STYLES, type SheathStyle, USUAL_SHEATH } from "@/core/sheath/settings";
import { lengthFailureWords } from "@/words/lengthFailures";
import { sheathFailureWords } from "@/words/sheath";
import { command } from "../command";
import { weighedFixed, withinTime } from "../input";
import { Refusal } from "../refusal";

/** "8oz" of leather, or a length: mm. */
function leatherMm(text: string): number {
  const ounces = /^(\d+(?:\.\d+)?)\s*oz$/i.exec(text.trim());
  if (ounces) return Number(ounces[1]) * OUNCE_MM;
  const reading = parseLength(text, "mm");
  if (!reading.ok) throw new Refusal(`--leather: ${lengthFailureWords(reading)}`);
  return reading.mm;
}

export const sheath = command({
  name: "sheath",
  says: "a leather sheath for a knife: panels, stitches, thread, weight",
  args: ["FILE"],
  options: {
    style: { value: SHEATH_STYLES.join("|"), says: "fold-over where it is not given" },
    leather: { value: "8oz|3.2mm", says: "thickness, in ounces or as a length; 8oz where it is not given" },
    depth: {
      value: "MM",
      says: "how far it covers the handle; up to the guard or the swell where it is not given",
    },
  },
  run: async ({ args: [path], text }) => {
    const style = text("style") ?? USUAL_SHEATH.style;
    if (!(SHEATH_STYLES as readonly string[]).includes(style))
      throw new Refusal(`--style is ${SHEATH_STYLES.join(" or ")}, not "${style}"`);
    const thick = leatherMm(text("leather") ?? "8oz");
    const depth = text("depth");
    const covers = depth === undefined ? null : parseLength(depth, "mm");
    if (covers && !covers.ok) throw new Refusal(`--depth: ${lengthFailureWords(covers)}`);
    const { design } = await weighedFixed(path);
    const found = withinTime(() =>
      sheathPattern(design, {
        ...USUAL_SHEATH,
        style: style as SheathStyle,
        leatherMm: thick,
        weltThickMm: thick,
        depthMm: covers ? covers.mm : null,
      }),
    );
    if (!found.ok) throw new Refusal(sheathFailureWords(found, "metric"));
    const { panels, stitches, threadMm } = found.pattern;
    return {
      panels: panels.map(({ name, areaMm2, outline }) => ({ name, areaMm2, outline })),
      seamMm: stitches.seamMm,
      stitches: stitches.holes.length,
      pitchMm: stitches.pitchMm,
      threadMm,
      massG: sheathMassG(found.pattern, materialsIn(design)(LEATHER)?.densityGcc.typical ?? 0.95),
    };
  },
});
