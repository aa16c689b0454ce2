import * as z from "zod/mini";
import { PRINT_KINDS, RELIEF_KINDS } from "../textureKinds";
import { between, mm } from "./fields";

const depthMm = mm(0.01, 10);

/** A face that is not smooth. Sizes stand for its high places, which calipers touch. */
export const texture = z.discriminatedUnion("kind", [
  /** The deepest places under the high ones, and what is missing under them over the whole face, as a thickness. */
  z.strictObject({ kind: z.literal([...RELIEF_KINDS]), depthMm, meanLossMm: mm(0.005, 10) }),
  /** Share of the face that prints cover. */
  z.strictObject({ kind: z.literal([...PRINT_KINDS]), depthMm, share: between(0.01, 1) }),
]);

export type Texture = z.infer<typeof texture>;
export type TextureKind = Texture["kind"];
