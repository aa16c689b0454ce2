import { anyViews, type ProductViews } from "../session/product";
import { fixedViews } from "./fixed";

/** What a person sees of each product, in the order that they are offered. */
export const PRODUCT_VIEWS: readonly ProductViews[] = [anyViews(fixedViews)];
