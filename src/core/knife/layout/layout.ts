import { byKind } from "../../base/record/byKind";
import { INSIDE_MM } from "../../base/tolerances";
import type { Contour } from "../../geometry/curve/contour";
import { signChanges } from "../../geometry/curve/roots";
import type { GroundBlade } from "../../geometry/solids/groundBlade";
import { lineAt } from "../../geometry/solids/line";
import type { Region } from "../../geometry/solids/region";
import { piecesOf } from "../design/handleParts";
import type { Design, Piece } from "../design/schema";
import { barHalf, barHeight, barTangOutline, blockHoleRegions, roomRegion } from "./bar";
import { groundBlade } from "./groundBlade";
import { guardOutline, guardThickness } from "./guard";
import { bodyRegion, crownsOf, type HandleForm, sectionsOf, surfaceAt } from "./handleBody";
import { handleCurve, handleOutline } from "./handleOutline";
import { insetOutline } from "./insetOutline";
import { bodyEnd, pieceStations, shapeRegions } from "./pieces";
import { lazily, remembered } from "./remembered";
import { tangFace } from "./tangFace";

/** A piece of its own outline: regions that together are one stretch of it, for each stretch. */
export interface ShapedPiece {
  readonly piece: Piece;
  readonly stretches: readonly (readonly Region[])[];
}

/** One plate of a guard from the side, and how far behind the datum its faces lie in the middle, mm. */
export interface GuardPlate {
  readonly material: string;
  readonly fromMm: number;
  readonly toMm: number;
  readonly outline: Contour;
}

/** The tang's section at a station: its edges, and half its thickness, mm. */
export interface TangSection {
  readonly lowY: number;
  readonly highY: number;
  readonly halfMm: number;
}

/**
 * Where everything of a design is, in the frame of docs/method.md, mm: what is built, drawn, measured and drilled reads
 * it from here. What costs something is worked out when it is first asked for.
 */
export interface Layout extends HandleForm {
  readonly design: Design;
  /** The blade from the side, and as it is ground. */
  readonly bladeOutline: Contour;
  readonly blade: GroundBlade;
  /** Station of the handle's rear end, and of its front: behind the guard, or at the datum without one. */
  readonly buttX: number;
  readonly frontX: number;
  /** Thickness of all the guard's plates; 0 without a guard. */
  readonly guardMm: number;
  readonly guardPlates: readonly GuardPlate[];
  /** All of a guard's plates from the side; null without a guard, or of an imported one. */
  readonly guardOutline: Contour | null;
  /** The handle's solid as it is contoured, as if it had no shaped pieces. */
  readonly body: Region;
  /** The same up to where shaped pieces at its end begin. */
  readonly plainBody: Region;
  /** Stations of each piece of a stack, rear and front; none of scales. */
  readonly pieces: readonly (readonly [number, number])[];
  readonly shapedPieces: readonly ShapedPiece[];
  /** A hidden or framed tang from the side; null of a full one, whose outline is the handle's. */
  readonly barOutline: Contour | null;
  /** The hole in a handle's blocks, or in a frame, in one or several regions; none of a full tang. */
  readonly tangHoles: readonly Region[];
  /** Outline of a full tang's recess; null where rim and stations leave nothing, or there is none. */
  readonly recess: Contour | null;
  /** The tang at a station, a bar beyond its ends too. */
  tangAt(x: number): TangSection;
  /** Height of the finished surface over the centre plane, on one side; 0 where there is no handle. */
  surfaceAt(x: number, y: number, side: "right" | "left"): number;
  /** The rearmost station, at a height on the centre plane, of what a hidden tang passes through. */
  rearAt(y: number): number;
}

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
  const tangHoles = lazily(() =>
    byKind<typeof tang, readonly Region[]>(tang, {
      full: () => [],
      framed: (t) => [roomRegion(t, t.hole.clearanceMm, t.hole.deeperMm, frontX)],
      hidden: (t) => blockHoleRegions(t, t.hole, frontX),
    }),
  );
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
    surfaceAt: (x: number, y: number, side: "right" | "left") => surfaceAt(body(), x, y, side),
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
