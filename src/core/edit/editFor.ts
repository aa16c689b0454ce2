import type { ProductDesign } from "../knife/design/product";
import type { CommonEdit } from "./common";
import type { EditsByKind } from "./table";

/** What can be done to a product's designs. */
export type EditFor<D extends ProductDesign> = D["kind"] extends keyof EditsByKind
  ? EditsByKind[D["kind"]]
  : CommonEdit;
