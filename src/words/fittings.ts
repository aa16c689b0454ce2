import type { FittingKind } from "@/core/kinds/guardFittings/registry";

/** What a fitting on a guard is called: as a part, as a tick that puts it there, by its point, and its fields. */
interface FittingWords {
  readonly name: string;
  readonly tick: string;
  readonly point: string;
  readonly fields: Readonly<Record<string, string>>;
}

export const FITTING_WORDS: Record<FittingKind, FittingWords> = {
  notch: {
    name: "Finger notch",
    tick: "Notch for the index finger",
    point: "Finger notch",
    fields: { radiusMm: "Notch radius", depthMm: "Notch depth" },
  },
  dowels: {
    name: "Dowels, guard",
    tick: "Two register dowels",
    point: "Dowels",
    fields: {
      diameterMm: "Dowel diameter",
      lengthMm: "Dowel length",
      spreadMm: "Apart",
      material: "Dowels of",
    },
  },
  cheeks: {
    name: "Cheek",
    tick: "Cheeks forward along the flats, of sheets beside each other",
    point: "Cheeks",
    fields: {
      lengthMm: "Cheeks reach forward",
      aboveMm: "Cheeks above the axis",
      belowMm: "Cheeks below the axis",
      thicknessMm: "Thickness of each cheek",
      middleMm: "Sheet in the middle, cut out for the blade",
      material: "Cheeks of",
    },
  },
  collar: {
    name: "Collar",
    tick: "Collar round the handle's front",
    point: "Collar's rear",
    fields: { lengthMm: "Collar length", wallMm: "Collar wall", material: "Collar of" },
  },
  knuckleBow: {
    name: "Knuckle bow",
    tick: "Knuckle bow to the butt",
    point: "Knuckle bow",
    fields: {
      reachMm: "Bow reaches below the axis",
      thicknessMm: "Bow thickness",
      widthMm: "Bow width",
      endMm: "Bow ends ahead of the butt by",
      material: "Bow of",
    },
  },
};
