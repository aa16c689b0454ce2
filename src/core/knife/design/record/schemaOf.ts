import * as z from "zod/mini";
import type { Field, Fields } from "../../../base/record/fields";
import { fill, materialId, mm } from "./fields";

function schemaOfField(field: Field): z.ZodMiniType {
  switch (field.type) {
    case "length":
    case "share":
    case "angle":
      return mm(field.low, field.high);
    case "material":
      return materialId;
    case "fill":
      return fill;
    case "choice":
      return z.enum(field.of);
    case "count":
      return z.union(field.of.map((n) => z.literal(n)));
    case "group":
      return z.strictObject(shapeOf(field.fields));
  }
}

/** What checks each of a record's fields. */
export function shapeOf(fields: Fields): Record<string, z.ZodMiniType> {
  return Object.fromEntries(Object.entries(fields).map(([key, field]) => [key, schemaOfField(field)]));
}
