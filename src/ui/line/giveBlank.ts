import type { ProductDesign } from "@/core/knife/design/product";
import { changeDesign, getKnife } from "@/store/knives";
import { counted } from "@/words/grammar";
import { createWeigher } from "@/workers/services";
import { notices } from "../kit/notice";
import { offerPutBack } from "../kit/offerBack";

type OnBlank = (design: ProductDesign) => ProductDesign;

/** A knife put on the blank of another. */
async function onBlankOf(of: ProductDesign): Promise<OnBlank> {
  const [{ applyEdit }, { recordOf }] = await Promise.all([
    import("@/core/edit/applyEdit"),
    import("@/core/products/recordOf"),
  ]);
  return (design) => {
    const record = recordOf(design);
    const edit = { code: "take-blank", of, grade: of.name };
    return record.tidied(applyEdit(record.edits, design, edit as never), design);
  };
}

/** Of several designs those that can be built. */
async function buildable<K>(made: ReadonlyMap<K, ProductDesign>): Promise<ReadonlySet<K>> {
  const weigher = createWeigher();
  try {
    const good = new Set<K>();
    for (const [key, design] of made) {
      const answer = await weigher.ask((s) => s.weigh(design));
      if (!answer.ok) throw new Error("the knives could not be weighed on it");
      if (answer.value.ok) good.add(key);
    }
    return good;
  } finally {
    weigher.dispose();
  }
}

/**
 * Puts some knives on the blank of another one, by their ids; offers to put theirs back. What could not be built on it stays
 * as it is, and is named.
 */
export async function giveBlank(of: ProductDesign, to: readonly string[]): Promise<void> {
  const put = await onBlankOf(of);
  const before = new Map<string, ProductDesign>();
  for (const id of to) {
    const reading = await getKnife(id);
    if (reading?.ok && reading.record.design.kind === of.kind) before.set(id, reading.record.design);
  }
  const good = await buildable(new Map([...before].map(([id, design]) => [id, put(design)])));
  for (const id of good) await changeDesign(id, put);
  const left = [...before].flatMap(([id, design]) => (good.has(id) ? [] : [design.name]));
  if (left.length > 0)
    notices.error({
      title: `${left.join(", ")}: not changed`,
      description: `It cannot be built on the blank of ${of.name}. Fit its handle to that first.`,
    });
  if (good.size > 0)
    offerPutBack(
      `${counted(good.size, "knife has", "knives have")} the blank of ${of.name} now`,
      () => {
        for (const id of good) void changeDesign(id, (design) => before.get(id) ?? design);
      },
      "Handles, guards and materials stayed.",
    );
}
