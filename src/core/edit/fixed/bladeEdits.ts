import { newGrind, newSideGrind } from "../../knife/design/bladeStarts";
import { tipFrom } from "../../knife/design/create";
import type { BladeMark, Design, Grind, SideGrind, TipStyle } from "../../knife/design/schema";
import { asPoints, withBladeLength, withHeelHeight } from "../../knife/layout/bladeLengths";
import {
  asRehandled,
  bareBladeOf,
  type Cut,
  finishedKnifeOf,
  newMeasured,
  withBalanceKind,
  withCut,
} from "../../knife/starts/starts";
import { type BladeRun, withBladePoint, withoutBladePoint } from "../bladeOutline";

const withBlade = (design: Design, blade: Partial<Design["blade"]>): Design => ({
  ...design,
  blade: { ...design.blade, ...blade },
});

/** The drawing kept as what was weighed: as it is now, or not at all. */
function withWeighedDrawing(design: Design, keeps: boolean): Design {
  const { measured } = design.blade;
  if (!measured) return design;
  const { of } = measured;
  const kept =
    of.kind === "blade"
      ? { ...of, asWeighed: keeps ? bareBladeOf(design) : null }
      : { ...of, asWeighed: keeps ? finishedKnifeOf(design) : null };
  return withBlade(design, { measured: { ...measured, of: kept } });
}

/** Edits of the blade and of where the knife starts. */
export const BLADE_EDITS = {
  /** A blade or a knife in the hand, which is not weighed yet, or a blade that is drawn. */
  "start-from": (design: Design, { from }: Readonly<{ from: "drawn" | "blade" | "knife" }>) =>
    withBlade(design, { measured: from === "drawn" ? null : newMeasured(null, null, from) }),
  rehandle: (design: Design) => asRehandled(design),
  "balance-found": (design: Design, { way }: Readonly<{ way: "direct" | "supports" }>) =>
    withBlade(design, { measured: withBalanceKind(design.blade, way) }),
  "keep-drawing": (design: Design, { keeps }: Readonly<{ keeps: boolean }>) =>
    withWeighedDrawing(design, keeps),
  "weighed-now": (design: Design) => withWeighedDrawing(design, true),
  "cut-was-in": (design: Design, { cut, isIn }: Readonly<{ cut: Cut; isIn: boolean }>) => {
    const { measured } = design.blade;
    if (measured?.of.kind !== "blade" || !measured.of.asWeighed) return design;
    const asWeighed = withCut(design, measured.of.asWeighed, cut, isIn);
    return withBlade(design, { measured: { ...measured, of: { ...measured.of, asWeighed } } });
  },
  "blade-length": (design: Design, { mm }: Readonly<{ mm: number }>) => ({
    ...design,
    blade: withBladeLength(design.blade, mm),
  }),
  "heel-height": (design: Design, { mm }: Readonly<{ mm: number }>) => ({
    ...design,
    blade: withHeelHeight(design.blade, mm),
  }),
  "tip-style": (design: Design, { style }: Readonly<{ style: TipStyle }>) =>
    withBlade(design, { tip: tipFrom(style, design.blade.lengthMm) }),
  "blade-by-points": (design: Design) => ({ ...design, blade: asPoints(design.blade) }),
  /** Its own outline given up for that of a style: the one it had, or another. */
  "blade-by-style": (design: Design, { style }: Readonly<{ style: TipStyle | null }>) => {
    const { tip, lengthMm } = design.blade;
    return withBlade(design, {
      outline: null,
      tip: style && style !== tip.style ? tipFrom(style, lengthMm) : tip,
    });
  },
  "blade-point-add": (
    design: Design,
    { run, after, id }: Readonly<{ run: BladeRun; after: number | null; id: string }>,
  ) => withBladePoint(design, run, after, id),
  "blade-point-remove": (design: Design, { run, at }: Readonly<{ run: BladeRun; at: number }>) =>
    withoutBladePoint(design, run, at),
  grind: (design: Design, { kind }: Readonly<{ kind: Grind["kind"] }>) => {
    const { grind, heelHeightMm, leftGrind } = design.blade;
    return withBlade(design, {
      grind: newGrind(kind, grind, heelHeightMm),
      // A single bevel leaves the other side flat.
      leftGrind: kind === "single-bevel" ? null : leftGrind,
    });
  },
  "left-ground-apart": (design: Design, { apart }: Readonly<{ apart: boolean }>) => {
    const { grind } = design.blade;
    return grind.kind === "single-bevel"
      ? design
      : withBlade(design, { leftGrind: apart ? { ...grind } : null });
  },
  "left-grind": (design: Design, { kind }: Readonly<{ kind: SideGrind["kind"] }>) => {
    const { leftGrind, heelHeightMm } = design.blade;
    return leftGrind ? withBlade(design, { leftGrind: newSideGrind(kind, leftGrind, heelHeightMm) }) : design;
  },
  /** What a mark says, with its outlines drawn anew where it is a text. */
  "mark-says": (
    design: Design,
    { id, says, art }: Readonly<{ id: string; says: string; art: BladeMark["art"] | null }>,
  ) =>
    withBlade(design, {
      marks: design.blade.marks.map((m) => (m.id === id ? { ...m, says, art: art ?? m.art } : m)),
    }),
};
