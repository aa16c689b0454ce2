import type { ProductDesign } from "@/core/knife/design/product";
import { changeDesign, getKnife } from "@/store/knives";
import { counted } from "@/words/grammar";
import { offerPutBack } from "../kit/offerBack";

/** Puts some knives on the blank of another one, by their ids; offers to put theirs back. */
export async function giveBlank(of: ProductDesign, to: readonly string[]): Promise<void> {
  const [{ applyEdit }, { recordOf }] = await Promise.all([
    import("@/core/edit/applyEdit"),
    import("@/core/products/recordOf"),
  ]);
  const before = new Map<string, ProductDesign>();
  for (const id of to) {
    const reading = await getKnife(id);
    if (!reading?.ok || reading.record.design.kind !== of.kind) continue;
    before.set(id, reading.record.design);
    await changeDesign(id, (design) => {
      const record = recordOf(design);
      return record.tidied(
        applyEdit(record.edits, design, { code: "take-blank", of, grade: of.name } as never),
        design,
      );
    });
  }
  offerPutBack(
    `${counted(before.size, "knife has", "knives have")} the blank of ${of.name} now`,
    () => {
      for (const [id, design] of before) void changeDesign(id, () => design);
    },
    "Handles, guards and materials stayed. Look at the figures: what no longer fits is told there.",
  );
}
