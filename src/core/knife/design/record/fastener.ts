import * as z from "zod/mini";
import { FASTENER_KINDS, type Fastener, kindOf } from "../../../kinds/fasteners/registry";
import { height, id, station } from "./fields";
import { shapeOf } from "./schemaOf";

const place = { id, xMm: station, yMm: height };

const [first, ...rest] = FASTENER_KINDS.map((kind) =>
  z.strictObject({ kind: z.literal(kind), ...place, ...shapeOf(kindOf({ kind }).fields) }),
);

/** A fastener of any kind in the registry. */
export const fastener = z.discriminatedUnion("kind", [first, ...rest]) as unknown as z.ZodMiniType<
  Fastener,
  Fastener
>;
