import * as z from "zod/mini";
import { between, id, materialId, plainText, text } from "../knife/design/record/fields";
import { type Heat, heatOf } from "../materials/heat";
import type { Material } from "../materials/types";
import { MEDIA } from "./attempts";

const celsius = between(-200, 1400);

/** A way to heat-treat steel. Temperatures in °C. */
export const recipeRecord = z.strictObject({
  id,
  name: text(1, 80),
  /** The steels that it is for: a recipe of the maker's own, or a seller's, goes before what follows from the steel. */
  steels: z.array(materialId).check(z.minLength(1), z.maxLength(40)),
  normalise: z.nullable(z.strictObject({ atC: celsius, cycles: z.int().check(z.gte(1), z.lte(6)) })),
  hardenC: z
    .strictObject({ low: celsius, high: celsius })
    .check(
      z.refine(({ low, high }) => low <= high, "the lower temperature must not be above the higher one"),
    ),
  soakMin: between(0, 300),
  medium: z.enum(MEDIA),
  /** Into the cold after the quench; null where it is not needed. */
  coldC: z.nullable(celsius),
  /** What hardness a temper gives, the hottest last. At least one: steel that is not tempered breaks. */
  temper: z
    .array(z.strictObject({ atC: celsius, hrc: z.nullable(between(20, 70)) }))
    .check(
      z.minLength(1, "a recipe has a temper: hardened steel that is not tempered breaks"),
      z.maxLength(8),
    ),
  temperHours: between(0.25, 24),
  temperCycles: z.int().check(z.gte(1), z.lte(6)),
  note: plainText(0, 1000),
});
export type Recipe = Readonly<z.infer<typeof recipeRecord>>;

type Shipped = Omit<Recipe, "id" | "name" | "steels" | "hardenC">;

/**
 * What steels of a kind are heated by, from memory and as makers tell it: the mill's sheet decides. Hardness against temper
 * is a rough guide.
 */
const USUAL: Readonly<Record<Exclude<Heat["group"], "as-its-mill-says">, Shipped>> = {
  carbon: {
    normalise: { atC: 870, cycles: 3 },
    soakMin: 8,
    medium: "warm-oil",
    coldC: null,
    temper: [
      { atC: 175, hrc: 62 },
      { atC: 205, hrc: 60 },
      { atC: 230, hrc: 58 },
      { atC: 260, hrc: 56 },
    ],
    temperHours: 2,
    temperCycles: 2,
    note: "Non-magnetic is not yet hot enough. In the oil 4 to 5 s, then between plates while above 200 °C keeps it straight; below that plates crack it.",
  },
  "low-alloy": {
    normalise: { atC: 880, cycles: 3 },
    soakMin: 10,
    medium: "fast-oil",
    coldC: null,
    temper: [
      { atC: 175, hrc: 61 },
      { atC: 205, hrc: 59 },
      { atC: 230, hrc: 57 },
      { atC: 260, hrc: 55 },
    ],
    temperHours: 2,
    temperCycles: 2,
    note: "Normalise two or three times, held at about 650 °C on the way up.",
  },
  "air-hardening": {
    normalise: null,
    soakMin: 15,
    medium: "plates",
    coldC: -75,
    temper: [
      { atC: 175, hrc: 61 },
      { atC: 205, hrc: 60 },
      { atC: 230, hrc: 58 },
    ],
    temperHours: 2,
    temperCycles: 2,
    note: "Sealed in foil, whose seams cut. Into the cold overnight, then the temper within two hours of its end.",
  },
};

/** The recipe for a steel: the first of the maker's own that names it, else the usual one of its kind; null of none. */
export function recipeFor(steel: Material | undefined, own: readonly Recipe[]): Recipe | null {
  if (!steel) return null;
  const mine =
    own.find((r) => r.steels.includes(steel.id)) ?? own.find((r) => r.steels.includes(steel.like ?? ""));
  if (mine) return mine;
  const heat = heatOf(steel);
  if (!heat?.hardenC || heat.group === "as-its-mill-says") return null;
  return {
    id: heat.group,
    name: steel.name,
    steels: [steel.id],
    hardenC: heat.hardenC,
    ...USUAL[heat.group],
  };
}

/** Whether a recipe is the maker's own, or follows from the kind of steel alone. */
export const isUsual = ({ id: of }: Recipe): boolean => Object.hasOwn(USUAL, of);
