import type { SizedShapeKind } from "@/core/kinds/pieceShapes/registry";

/** What a piece's own shape is called: as a choice, and its fields with what is to be known of them. */
interface ShapeWords {
  readonly name: string;
  readonly fields: Readonly<Record<string, string>>;
}

const ACROSS = { aboveMm: "Above the axis", belowMm: "Below the axis", widthMm: "Width" };
const ROUND = { diameterMm: "Diameter", yMm: "Middle above the axis" };
const ROUNDNESS = { roundness: "Roundness from the end" };

export const PIECE_SHAPE_WORDS: Record<SizedShapeKind, ShapeWords> = {
  plate: {
    name: "Plate or domed cap",
    fields: {
      ...ACROSS,
      ...ROUNDNESS,
      domeMm: "Dome of the rear face",
      frontDomeMm: "Rounded where the tang enters",
    },
  },
  ball: { name: "Ball", fields: ROUND },
  disc: { name: "Disc on edge", fields: { ...ROUND, widthMm: "Width" } },
  faceted: { name: "Faceted block", fields: { ...ACROSS, facets: "Facets all round" } },
  beak: { name: "Bird's head", fields: { ...ACROSS, ...ROUNDNESS, beakMm: "Beak reaches below" } },
};

/** What else a piece's shape can be. */
export const OTHER_SHAPE_WORDS = { outline: "The handle's outline", mesh: "Imported shape" } as const;
