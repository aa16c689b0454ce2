import type { ProductDesign } from "../../../knife/design/product";
import type { Variant } from "../../../knife/design/variant";
import { RECORD_VERSION } from "../../../knife/design/version";
import { KNIFE_FORMAT, LARGEST_KNIFE_BYTES } from "./format";

/** A knife and its variants as the text of an open JSON file, two-space indented, UTF-8 when encoded. */
export function writeKnife<D extends ProductDesign>(design: D, variants: readonly Variant[] = []): string {
  const more = variants.map((v) => ({ name: v.name, knife: v.design }));
  const file = { format: KNIFE_FORMAT, version: RECORD_VERSION, knife: design };
  return `${JSON.stringify(more.length > 0 ? { ...file, variants: more } : file, null, 2)}\n`;
}

/**
 * The same, kept within what a reader takes: as many of the variants, from the first on, as find room. Tells how many
 * were left out, which only imported shapes bring about.
 */
export function writeKnifeWithin(
  design: ProductDesign,
  variants: readonly Variant[],
  mostBytes: number = LARGEST_KNIFE_BYTES,
): { readonly text: string; readonly leftOut: number } {
  for (let count = variants.length; count > 0; count--) {
    const text = writeKnife(design, variants.slice(0, count));
    if (new TextEncoder().encode(text).byteLength <= mostBytes)
      return { text, leftOut: variants.length - count };
  }
  return { text: writeKnife(design), leftOut: variants.length };
}
