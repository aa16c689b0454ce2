import { fixedModel } from "./fixedModel";
import { anyModel, type ProductModel } from "./product";

/** What each product is as a thing. */
export const MODELS: readonly ProductModel[] = [anyModel(fixedModel)];
