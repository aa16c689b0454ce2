import { lazily, remembered } from "../../base/record/remembered";
import { INSIDE_MM } from "../../base/tolerances";
import { signChanges } from "../../geometry/curve/roots";
import { lineAt } from "../../geometry/solids/line";
import type { Region } from "../../geometry/solids/region";
import { slabRegion } from "../../geometry/solids/slab";
import { bodyRegion } from "../constructions/handles/registry";
import { tangFace, tangModule } from "../constructions/tangs/registry";
import { piecesOf } from "../design/handleParts";
import type { Design } from "../design/schema";
import { barHalf, barHeight, barTangOutline } from "../shapes/bar";
import { crownsOf, type HandleForm, sectionsOf, surfaceAt } from "../shapes/handleBody";
import { handleCurve, handleOutline } from "../shapes/handleOutline";
import { insetOutline } from "../shapes/insetOutline";
import { bodyEnd, pieceStations, shapeRegions } from "../shapes/pieces";
import { aheadOfEnd, scaleEndOf } from "../shapes/scaleEnd";
import type { GuardPlate, Layout, ShapedPiece, TangSection } from "../shapes/types";
import { groundBlade } from "./groundBlade";
import { guardOutline, guardThickness } from "./guard";

/** The layout of a design, worked out once. Never fails: what cannot be built is laid out as near as it can be. */
export const layoutOf = remembered((design: Design): Layout => {
  const { handle, tang, guard } = design;
  const outline = handleOutline(handle);
  const guardMm = guard ? guardThickness(guard) : 0;
  const [buttX, frontX] = [outline.xRange[0], guard ? -guardMm : 0];
  const span = Object.freeze([buttX, frontX] as const);
  const form: HandleForm = {
    handle,
    outline,
    span,
    tangFace: tangFace(design, buttX),
    crowns: crownsOf(handle),
    sections: sectionsOf(handle, span),
  };
  const body = lazily(() => bodyRegion(form));
  const pieces = lazily(() => ("pieces" in handle ? pieceStations(handle, frontX, buttX) : []));
  const plainBody = lazily(() => {
    const rear = "pieces" in handle ? bodyEnd(handle, frontX, buttX) : buttX;
    return rear === buttX ? body() : bodyRegion(form, [rear, frontX]);
  });
  const shapedPieces = lazily((): readonly ShapedPiece[] =>
    piecesOf(handle).flatMap((piece, i) =>
      piece.shape ? [{ piece, stretches: shapeRegions(design.meshes, piece.shape, pieces()[i]) }] : [],
    ),
  );
  const housings = lazily(() => [[plainBody()], ...shapedPieces().flatMap((s) => s.stretches)]);
  const scaleEnd = scaleEndOf(handle, outline, span);
  const bareTang = lazily(() => slabRegion(outline, form.tangFace, span));
  const bodyAt = (x: number, y: number) => (scaleEnd && aheadOfEnd(scaleEnd, x, y) < 0 ? bareTang() : body());
  const rears = new Map<number, number>();
  const guardPlates = lazily((): readonly GuardPlate[] => {
    if (!guard) return [];
    let fromMm = 0;
    return guard.plates.map(({ thicknessMm, material }) => {
      const plate = { material, fromMm, toMm: fromMm + thicknessMm };
      fromMm = plate.toMm;
      return { ...plate, outline: guardOutline(guard, plate.fromMm, plate.toMm) };
    });
  });
  const blade = lazily(() => groundBlade(design.blade));
  const guardWhole = lazily(() => (guard && !guard.mesh ? guardOutline(guard) : null));
  const barOutline = lazily(() => (tang.kind === "full" ? null : barTangOutline(tang)));
  const tangHoles = lazily(() => tangModule(tang).holes(tang, frontX));
  const recess = lazily(() =>
    tang.kind === "full" && tang.recess
      ? insetOutline(handleCurve(handle.outline), tang.recess.rimMm, -tang.recess.fromMm)
      : null,
  );
  return Object.freeze({
    ...form,
    design,
    buttX,
    frontX,
    guardMm,
    get bladeOutline() {
      return blade().outline;
    },
    get blade() {
      return blade();
    },
    get guardOutline() {
      return guardWhole();
    },
    get barOutline() {
      return barOutline();
    },
    get guardPlates() {
      return guardPlates();
    },
    get body() {
      return body();
    },
    get plainBody() {
      return plainBody();
    },
    get pieces() {
      return pieces();
    },
    get shapedPieces() {
      return shapedPieces();
    },
    get tangHoles() {
      return tangHoles();
    },
    get recess() {
      return recess();
    },
    tangAt: (x: number): TangSection => {
      if (tang.kind !== "full") {
        const half = barHeight(tang, x) / 2;
        return { lowY: tang.yMm - half, highY: tang.yMm + half, halfMm: lineAt(barHalf(tang), x) };
      }
      const ys = outline.cut(Math.min(-INSIDE_MM, x));
      return { lowY: ys[0] ?? 0, highY: ys[ys.length - 1] ?? 0, halfMm: lineAt(form.tangFace, x) };
    },
    scaleEnd,
    bodyAt,
    surfaceAt: (x: number, y: number, side: "right" | "left") => surfaceAt(bodyAt(x, y), x, y, side),
    rearAt: (y: number) => {
      let rear = rears.get(y);
      if (rear === undefined) {
        rear = Math.min(...housings().map((of) => rearOf(of, y, frontX)), frontX);
        rears.set(y, rear);
      }
      return rear;
    },
  });
});

/** Stations at which a rear end is looked for. */
const REAR_STATIONS = 200;

/** The rearmost station of what regions have in common at a height. */
function rearOf(regions: readonly Region[], y: number, frontX: number): number {
  const inside = (x: number) =>
    regions.every((r) => {
      if (!(x > r.xRange[0] && x < r.xRange[1])) return false;
      if (r.reachAt) {
        const reach = r.reachAt(x);
        return reach !== null && y > reach[0] && y < reach[1];
      }
      const slice = r.sliceAt(x);
      return slice !== null && (slice.ys === null || (y > slice.ys[0] && y < slice.ys[slice.ys.length - 1]));
    });
  const from = Math.max(...regions.map((r) => r.xRange[0]));
  const found = signChanges((x) => (inside(x) ? 1 : -1), from, frontX, REAR_STATIONS);
  return found[0] ?? from;
}
