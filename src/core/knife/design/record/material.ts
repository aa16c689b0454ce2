import * as z from "zod/mini";
import { densityOf } from "../../../materials/own/densityOf";
import {
  BASIS_LIMITS,
  DENSITY_LIMITS,
  MIX_PARTS,
  NAME_AT_MOST,
  OTHER_NAMES_AT_MOST,
  OWN_PREFIX,
  SHARE_KINDS,
} from "../../../materials/own/types";
import { HAZARDS, MATERIAL_CLASSES } from "../../../materials/types";
import { between, materialId, plainText, text } from "./fields";

const gcc = between(...DENSITY_LIMITS);
const IN_ORDER = "a density lies within its range: low ≤ typical ≤ high";
const density = z
  .strictObject({ typical: gcc, low: gcc, high: gcc })
  .check(z.refine((d) => d.low <= d.typical && d.typical <= d.high, IN_ORDER));

const within = (of: keyof typeof BASIS_LIMITS) => between(BASIS_LIMITS[of][0], BASIS_LIMITS[of][1]);
const gram = within("massG");
const offGram = within("offG");
const side = within("sideMm");
const ingredient = { name: text(1, 60), densityGcc: density };

const stated = z.strictObject({ kind: z.literal("stated"), typical: gcc, low: gcc, high: gcc });
const piece = z.strictObject({
  kind: z.literal("piece"),
  massG: gram,
  massOffG: offGram,
  lengthMm: side,
  heightMm: side,
  thicknessMm: side,
  sizeOffMm: within("sizeOffMm"),
});
const immersion = z.strictObject({
  kind: z.literal("immersion"),
  massG: gram,
  displacedG: gram,
  offG: offGram,
  waterC: within("waterC"),
});
const mix = z.strictObject({
  kind: z.literal("mix"),
  by: z.enum(SHARE_KINDS),
  parts: z
    .array(z.strictObject({ ...ingredient, share: within("share") }))
    .check(z.minLength(MIX_PARTS[0]), z.maxLength(MIX_PARTS[1])),
});
const takenUp = z.strictObject({
  kind: z.literal("taken-up"),
  dry: density,
  takenUpShare: within("takenUpShare"),
  takenUpOffShare: within("takenUpOffShare"),
  resinGcc: within("resinGcc"),
});
const cast = z.strictObject({
  kind: z.literal("cast"),
  lengthMm: side,
  heightMm: side,
  thicknessMm: side,
  resin: z.strictObject(ingredient),
  inclusions: z.array(z.strictObject({ ...ingredient, massG: gram })).check(z.maxLength(MIX_PARTS[1])),
  mixing: z.strictObject({
    ratio: within("ratio"),
    by: z.enum(SHARE_KINDS),
    densityA: within("resinGcc"),
    densityB: within("resinGcc"),
    wasteShare: within("wasteShare"),
  }),
});
const moisture = z.strictObject({
  kind: z.literal("moisture"),
  at12: density,
  moisturePercent: within("moisturePercent"),
  moistureOffPercent: within("moistureOffPercent"),
});

/** What is wrong with a density, in a sentence that names no field. */
function densityWords(basis: Parameters<typeof densityOf>[0]): string | null {
  const reading = densityOf(basis);
  if (reading.ok) return null;
  switch (reading.code) {
    case "not-in-order":
      return IN_ORDER;
    case "out-of-range":
      return `gives a density of ${reading.gcc?.toPrecision(3) ?? "nothing"} g/cm³: it may be ${DENSITY_LIMITS.join(" to ")}`;
    case "mould-full":
      return "the pieces fill the mould: there is no room for resin";
    case "more-than-pores":
      return `takes up more resin than the wood has room for: at most ${reading.mostShare.toPrecision(3)} of its mass`;
  }
}

/** A maker's own material, as a knife carries it. */
export const ownMaterial = z.strictObject({
  id: z
    .string()
    .check(
      z.regex(
        new RegExp(`^${OWN_PREFIX}[A-Za-z0-9_-]{4,36}$`),
        "an own material's id is own- and 4 to 36 letters, digits, - or _",
      ),
    ),
  name: text(1, NAME_AT_MOST),
  class: z.enum(MATERIAL_CLASSES),
  like: z.nullable(materialId),
  density: z
    .discriminatedUnion("kind", [stated, piece, immersion, mix, takenUp, cast, moisture])
    .check((ctx) => {
      const wrong = densityWords(ctx.value);
      if (wrong) ctx.issues.push({ code: "custom", message: wrong, input: ctx.value });
    }),
  hazards: z.array(z.enum(HAZARDS)).check(z.maxLength(HAZARDS.length)),
  otherNames: z.array(text(1, NAME_AT_MOST)).check(z.maxLength(OTHER_NAMES_AT_MOST)),
  tint: z.string().check(z.regex(/^#[0-9a-f]{6}$/, "a colour is # and six hex digits")),
  note: plainText(0, 500),
});

export const ownMaterials = z.array(ownMaterial).check(
  z.maxLength(40),
  z.refine((all) => new Set(all.map((m) => m.id)).size === all.length, "each material once"),
);
