import { describe, expect, it } from "vitest";
import type { Fields } from "@/core/base/record/fields";
import { valueAt } from "@/core/base/record/path";
import { weigh } from "@/core/figures/weigh/weigh";
import { FASTENER_KINDS, kindOf, newFastener } from "@/core/kinds/fasteners/registry";
import { FITTINGS, newFitting } from "@/core/kinds/guardFittings/registry";
import { SHAPE_KINDS, shapeKindOf } from "@/core/kinds/pieceShapes/registry";
import { BAR_END_KINDS, endKindOf } from "@/core/kinds/tangEnds/registry";
import { newDesign } from "@/core/knife/design/create";
import { guardOfForm } from "@/core/knife/design/guards";
import { newShape } from "@/core/knife/design/newParts";
import { type Design, designSchema } from "@/core/knife/design/schema";
import { layoutOf } from "@/core/knife/layout/layout";
import { endPlace } from "@/core/knife/shapes/endPlace";
import { withEnd, withTang } from "@/core/knife/starts/constructions";
import { FASTENER_WORDS, fastenerFieldWords } from "./fasteners";
import { FITTING_WORDS } from "./fittings";
import { PIECE_SHAPE_WORDS } from "./pieceShapes";
import { TANG_END_WORDS } from "./tangEnds";

/** Dotted paths of a record's fields. */
function pathsOf(fields: Fields, before = ""): string[] {
  return Object.entries(fields).flatMap(([key, field]) =>
    field.type === "group" ? pathsOf(field.fields, `${before}${key}.`) : [`${before}${key}`],
  );
}

const massOf = (design: Design): number => {
  const weighing = weigh(design);
  return weighing.ok ? weighing.report.massG : Number.NaN;
};

const scales = newDesign("Sedge");
const hidden = withTang(scales, "hidden");
const guarded: Design = { ...scales, guard: guardOfForm("oval", scales) };

/** A knife whose last piece has a shape of its own. */
function endedIn(shape: ReturnType<typeof newShape>): Design {
  if (hidden.handle.kind !== "stack") throw new Error("no stack");
  const [...pieces] = hidden.handle.pieces;
  const last = { ...pieces[pieces.length - 1], id: "end", role: "pommel" as const, lengthMm: 24, shape };
  return { ...hidden, handle: { ...hidden.handle, pieces: [...pieces, last] } };
}

describe.each(BAR_END_KINDS)("a tang's end: %s", (kind) => {
  const design = withEnd(hidden, kind);
  const words = TANG_END_WORDS[kind];
  const { fields, points } = endKindOf({ kind });

  it("begins as its record may be, and can be weighed", () => {
    expect(designSchema.safeParse(design).error?.issues ?? []).toEqual([]);
    expect(massOf(design)).toBeGreaterThan(50);
  });

  it("calls each of its fields and points by a name", () => {
    const named = pathsOf(fields).filter((path) => path !== "diameterMm" && path !== "pitchMm");
    expect(named.filter((path) => !words.fields[path])).toEqual([]);
    const place = endPlace(layoutOf(design));
    if (design.tang.kind !== "hidden" || !place) throw new Error("no hidden tang");
    const { end } = design.tang;
    for (const point of points(end, place)) {
      expect(words.points?.[point.id]).toBeDefined();
      // Dragged to where it is, it changes nothing.
      const value = valueAt(design, `tang.end.${point.field}`);
      expect(point.per * (point.at.x - point.zero)).toBeCloseTo(value as number, 9);
    }
  });
});

describe.each(SHAPE_KINDS)("a piece's shape: %s", (kind) => {
  const shape = newShape(kind, hidden);
  const design = endedIn(shape);

  it("begins as its record may be, and can be weighed", () => {
    expect(designSchema.safeParse(design).error?.issues ?? []).toEqual([]);
    expect(massOf(design)).toBeGreaterThan(50);
  });

  it("calls each of its fields by a name, and its points follow them", () => {
    if (shape.kind === "mesh") throw new Error("an imported shape has no kind");
    const { fields, points } = shapeKindOf(shape);
    expect(pathsOf(fields).filter((path) => !PIECE_SHAPE_WORDS[kind].fields[path])).toEqual([]);
    const found = points(shape, [-120, -96]);
    expect(found.length).toBeGreaterThan(0);
    for (const p of found) {
      expect(p.per * (p.at.y - p.zero)).toBeCloseTo((shape as unknown as Record<string, number>)[p.field], 9);
      for (const field of [p.field, ...p.also]) expect(fields[field]).toBeDefined();
    }
  });
});

describe.each(FITTINGS.map((f) => f.kind))("a fitting of a guard: %s", (kind) => {
  const found = FITTINGS.find((f) => f.kind === kind);
  if (!found || !guarded.guard) throw new Error("no such fitting");
  const { fields } = found;

  it("begins as its record may be, and calls each of its fields by a name", () => {
    const fittings = [newFitting(kind, "brass-360")];
    const design = { ...guarded, guard: { ...guarded.guard, fittings } };
    expect(designSchema.safeParse(design).error?.issues ?? []).toEqual([]);
    // One of each kind at most.
    const twice = { ...design, guard: { ...design.guard, fittings: [...fittings, ...fittings] } };
    expect(designSchema.safeParse(twice).success).toBe(false);
    expect(pathsOf(fields).filter((path) => !FITTING_WORDS[kind].fields[path])).toEqual([]);
  });
});

describe.each(FASTENER_KINDS)("a fastener: %s", (kind) => {
  it("begins as its record may be, and calls each of its fields by a name", () => {
    const design = {
      ...scales,
      fasteners: [newFastener(kind, "one", { xMm: -50, yMm: 0 }, scales.blade.spineMm)],
    };
    expect(designSchema.safeParse(design).error?.issues ?? []).toEqual([]);
    expect(FASTENER_WORDS[kind]).not.toBe("");
    for (const path of pathsOf(kindOf({ kind }).fields))
      expect(fastenerFieldWords(kind, path).label, path).not.toBe(path);
  });
});
