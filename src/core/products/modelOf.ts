import type { ProductDesign } from "../knife/design/product";
import { MODELS } from "./models";
import type { ProductModel } from "./product";

/** The model of a design's product. Throws for one that was not read as a design. */
export function modelOf({ kind }: Pick<ProductDesign, "kind">): ProductModel {
  const found = MODELS.find((m) => m.kind === kind);
  if (!found) throw new Error(`no product "${kind}"`);
  return found;
}
