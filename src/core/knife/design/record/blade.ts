import * as z from "zod/mini";
import { bladeShape } from "./bladeShape";
import { measured } from "./measured";

export const blade = z.strictObject({
  ...bladeShape,
  /** Null for a blade drawn here: its weight comes from its shape. */
  measured: z.nullable(measured),
});
