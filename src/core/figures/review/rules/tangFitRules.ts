import { roundTo, upToTenth } from "../../../base/number";
import { INSIDE_MM, ROUNDING } from "../../../base/tolerances";
import { newFastener } from "../../../kinds/fasteners/registry";
import { endKindOf } from "../../../kinds/tangEnds/registry";
import { assemble } from "../../../knife/assembly/assemble";
import { piecesOf } from "../../../knife/design/handleParts";
import { materialsIn } from "../../../knife/design/materials";
import { newBlockHole, newPiece } from "../../../knife/design/newParts";
import type { BlockHole, Fastener, HiddenTang } from "../../../knife/design/schema";
import { bladeHeights } from "../../../knife/layout/bladeOutline";
import type { Part } from "../../../knife/parts/types";
import { endPlace } from "../../../knife/shapes/endPlace";
import { burningIn, toughnessOf } from "../../../materials/working";
import { freeId, openSpots } from "../../fit/openSpot";
import { rayThrough } from "../../weigh/rayThrough";
import type { Fix, Found } from "../types";
import { found, PRACTICE, type Rule, type RuleContext } from "./context";

/** The hidden tang of a knife whose block is burned out for it; null of another. */
function burnedTang({ design }: RuleContext): HiddenTang | null {
  const { tang } = design;
  return tang.kind === "hidden" && tang.hole.kind === "burned" ? tang : null;
}

/** Materials that the hole is burned into, each once. */
const burnedInto = (c: RuleContext): string[] => [...new Set(c.walls().map((w) => w.material))];

/** Drilled and broached instead. */
const broached = (tang: HiddenTang): Fix => ({ kind: "block-hole", hole: newBlockHole("broached", tang) });

function burnedRule(code: "burned-in-fumes" | "burned-in-soft", limit: number, source: string): Rule {
  return {
    code,
    limit,
    unit: code === "burned-in-soft" ? "g/cm³" : "none",
    source,
    check: (c) => {
      const tang = burnedTang(c);
      if (!tang) return [];
      return burnedInto(c).flatMap((id): Found[] => {
        const material = materialsIn(c.design)(id);
        const densityGcc = material?.densityGcc.typical;
        const answer = burningIn(material, c.limit("burned-in-soft"));
        if (answer !== (code === "burned-in-fumes" ? "fumes" : "soft")) return [];
        const measured = code === "burned-in-soft" ? { measured: densityGcc, limit: c.limit(code) } : {};
        return [
          found(code, code === "burned-in-fumes" ? "error" : "warning", {
            at: { x: -tang.lengthMm / 2, y: tang.yMm },
            subject: id,
            ...measured,
            fix: broached(tang),
          }),
        ];
      });
    },
  };
}

/** Wood is dry enough to be burned into up to so much water, as a share of its dry mass. */
const DRY_SHARE = 0.15;

/** What of one's own is known to be damp by its moisture, where a tang is burned into it. */
const damp: Rule = {
  code: "burned-in-damp",
  limit: DRY_SHARE,
  unit: "share",
  source: `${PRACTICE}: seasoned wood holds 8 to 15 %`,
  check: (c) => {
    const tang = burnedTang(c);
    if (!tang) return [];
    const limit = c.limit("burned-in-damp");
    const into = burnedInto(c);
    return c.design.materials.flatMap(({ id, density }): Found[] => {
      if (density.kind !== "moisture" || !into.includes(id)) return [];
      const measured = density.moisturePercent / 100;
      if (measured <= limit + ROUNDING) return [];
      const at = { x: -tang.lengthMm / 2, y: tang.yMm };
      return [found("burned-in-damp", "warning", { at, subject: id, measured, limit, fix: broached(tang) })];
    });
  },
};

/** A mouth that is seen round the blade: of a hidden tang with neither guard nor ferrule, where nothing fills it. */
const mouth: Rule = {
  code: "mouth-uncovered",
  limit: 0.1,
  unit: "mm",
  source: PRACTICE,
  check: (c) => {
    const { design, layout } = c;
    const { tang, guard, handle, blade } = design;
    const [first] = piecesOf(handle);
    if (tang.kind !== "hidden" || guard || first?.role === "ferrule" || tang.hole.fill !== null) return [];
    const { spine, ricassoBottom } = bladeHeights(design.blade);
    const x = layout.frontX - INSIDE_MM;
    let measured = Number.NEGATIVE_INFINITY;
    for (const region of layout.tangHoles) {
      const slice = region.sliceAt(x);
      if (!slice?.ys) continue;
      const [low, high] = [slice.ys[0], slice.ys[slice.ys.length - 1]];
      const middle = (low + high) / 2;
      measured = Math.max(
        measured,
        high - spine,
        ricassoBottom - low,
        slice.high(middle) - blade.spineMm / 2,
      );
    }
    const limit = c.limit("mouth-uncovered");
    if (!(measured > limit + ROUNDING)) return [];
    return [
      found("mouth-uncovered", "warning", {
        at: { x: layout.frontX, y: tang.yMm },
        measured,
        limit,
        fixes: [filledMouth(tang), ferrule(c), higherShoulder(c, tang)],
      }),
    ];
  },
};

/** The glue that the tang is held by fills it. */
const filledMouth = (tang: HiddenTang): Fix | null =>
  endKindOf(tang.end).glueOnly
    ? { kind: "block-hole", hole: { ...tang.hole, fill: "epoxy" } as BlockHole }
    : null;

const FERRULE_MM = 8;

/** A ferrule before the first piece, which gives it its length. */
function ferrule({ design, layout }: RuleContext): Fix | null {
  const [first] = piecesOf(design.handle);
  if (!first || first.shape || piecesOf(design.handle).some((p) => p.id === "ferrule")) return null;
  const [to, from] = layout.pieces[0];
  const rest = from - to - FERRULE_MM;
  if (!(rest > FERRULE_MM)) return null;
  return {
    kind: "add-piece",
    at: 0,
    piece: newPiece("ferrule", "ferrule", "brass-360", FERRULE_MM),
    trim: { index: 0, lengthMm: roundTo(rest / (1 - first.pressedShare), 2) },
  };
}

/** A blade that is higher where it meets the handle, by as much as its mouth needs above and below. */
function higherShoulder({ design, layout }: RuleContext, tang: HiddenTang): Fix | null {
  const { blade } = design;
  if (blade.outline || blade.measured) return null;
  const ys = layout.tangHoles.flatMap((r) => r.sliceAt(layout.frontX - INSIDE_MM)?.ys ?? []);
  const half = Math.max(...ys.map((y) => Math.abs(y - tang.yMm)));
  if (!Number.isFinite(half)) return null;
  return {
    kind: "set",
    changes: [
      { path: "blade.ricassoHeightMm", value: upToTenth(Math.max(blade.ricassoHeightMm, 2 * half)) },
      { path: "blade.spineOverAxisMm", value: upToTenth(Math.max(blade.spineOverAxisMm, tang.yMm + half)) },
    ],
  };
}

/** A tang thicker than the blade that it grows out of cannot be ground from one bar. */
const thinner: Rule = {
  code: "blade-thinner-than-tang",
  limit: 0.05,
  unit: "mm",
  source: PRACTICE,
  check: (c) => {
    const { blade, tang } = c.design;
    if (blade.bolster) return [];
    const thickMm = tang.kind === "full" ? (tang.taper?.frontMm ?? blade.spineMm) : tang.frontThicknessMm;
    const limit = c.limit("blade-thinner-than-tang");
    if (thickMm - blade.spineMm <= limit + ROUNDING) return [];
    const [front, rear] =
      tang.kind === "full"
        ? (["tang.taper.frontMm", "tang.taper.buttMm"] as const)
        : (["tang.frontThicknessMm", "tang.endThicknessMm"] as const);
    const rearMm = tang.kind === "full" ? (tang.taper?.buttMm ?? blade.spineMm) : tang.endThicknessMm;
    return [
      found("blade-thinner-than-tang", "warning", {
        at: { x: 0, y: blade.spineOverAxisMm },
        measured: thickMm - blade.spineMm,
        limit,
        fix: {
          kind: "set",
          changes: [
            { path: front, value: blade.spineMm },
            { path: rear, value: Math.min(rearMm, blade.spineMm) },
          ],
        },
      }),
    ];
  },
};

/** A thread is cut on the bar itself: what is wider than the bar has no steel to be cut in. */
const wideThread: Rule = {
  code: "thread-wider-than-bar",
  limit: 0.05,
  unit: "mm",
  source: PRACTICE,
  check: (c) => {
    const { tang } = c.design;
    const place = endPlace(c.layout);
    if (tang.kind !== "hidden" || !place) return [];
    const rod = endKindOf(tang.end).rod(tang.end);
    if (!rod?.ofTang) return [];
    const measured = rod.diameterMm - place.endAcrossMm;
    const limit = c.limit("thread-wider-than-bar");
    if (measured <= limit + ROUNDING) return [];
    const thick = (mm: number) => Math.max(mm, rod.diameterMm);
    return [
      found("thread-wider-than-bar", "warning", {
        at: { x: place.endX, y: tang.yMm },
        measured,
        limit,
        fix: {
          kind: "set",
          changes: [
            { path: "tang.endThicknessMm", value: thick(tang.endThicknessMm) },
            { path: "tang.endHeightMm", value: thick(tang.endHeightMm) },
          ],
        },
      }),
    ];
  },
};

/** Whether a part is a block of metal that glue alone would hold: a bolster, a half, or a block on a glued tang. */
function isHeldByPins({ key }: Part, { design }: RuleContext): boolean {
  if (key.kind === "bolster" || key.kind === "half") return true;
  const { tang } = design;
  return (
    key.kind === "piece" && key.sort === "block" && tang.kind === "hidden" && endKindOf(tang.end).glueOnly
  );
}

/** A pin of this diameter holds a bolster, mm; places for one that are tried at most. */
const PIN_MM = 4;
const TRIED_PLACES = 4;

/** Pins of a part's own metal, through it and the steel inside it, where there is most room. */
function pinsThrough({ design }: RuleContext, part: Part): Fix[] {
  const assembly = assemble(design);
  const holds = (xMm: number, yMm: number) => {
    const through = rayThrough(assembly, xMm, yMm).map((p) => assembly.parts[p.part]);
    return through.some((p) => p.id === part.id) && through.some((p) => p.group === "blade");
  };
  const id = freeId("pin", design.fasteners);
  return openSpots(design, PIN_MM)
    .filter((at) => holds(at.xMm, at.yMm))
    .slice(0, TRIED_PLACES)
    .map((at) => ({
      kind: "add-fastener",
      fastener: {
        ...newFastener("pin", id, at, PIN_MM),
        diameterMm: PIN_MM,
        material: part.materials[0].materialId,
      } as Fastener,
    }));
}

const unpinned: Rule = {
  code: "metal-unpinned",
  limit: 0,
  unit: "none",
  source: PRACTICE,
  check: (c) => {
    const materialOf = materialsIn(c.design);
    const pinned = new Set(c.design.fasteners.flatMap((f) => c.pathOf(f.id).parts.map((p) => p.id)));
    const loose = assemble(c.design).parts.filter(
      (p) =>
        isHeldByPins(p, c) &&
        p.materials.length > 0 &&
        p.materials.every((m) => toughnessOf(materialOf(m.materialId)) === "metal") &&
        !pinned.has(p.id),
    );
    // Of a pair one is said.
    return loose
      .filter((p) => !("side" in p.key && p.key.side === "left"))
      .map((p) =>
        found("metal-unpinned", "warning", {
          subject: p.id,
          part: p.key,
          fixes: c.quick ? [] : pinsThrough(c, p),
        }),
      );
  },
};

export const TANG_FIT_RULES: readonly Rule[] = [
  burnedRule(
    "burned-in-fumes",
    0,
    "common practice, no source: resins, laminates and horn decompose under a hot tang, with harmful fumes",
  ),
  burnedRule("burned-in-soft", 0.65, "g/cm³, from memory; common practice: sound, dry hardwood only"),
  damp,
  mouth,
  thinner,
  wideThread,
  unpinned,
];
