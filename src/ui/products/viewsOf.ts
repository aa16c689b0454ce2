import type { ProductDesign } from "@/core/knife/design/product";
import type { ProductViews } from "../session/product";
import { PRODUCT_VIEWS } from "./list";

/** The views of a design's product. Throws for one that was not read as a design. */
export function viewsOf({ kind }: Pick<ProductDesign, "kind">): ProductViews {
  const found = PRODUCT_VIEWS.find((v) => v.kind === kind);
  if (!found) throw new Error(`no product "${kind}"`);
  return found;
}
