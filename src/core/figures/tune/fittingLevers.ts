import { materialsIn } from "../../knife/design/materials";
import type { Design, Fastener, NodeRole, Piece, ScalesHandle, StackHandle } from "../../knife/design/schema";
import { handleLength, stretchedHandle } from "../../knife/layout/handleLengths";
import { type Lever, lengthLever, rounded } from "./lever";

/** Levers of what is fitted to the steel: guard, handle, bolsters, pommel and pins. */
export function fittingLevers(design: Design): Lever[] {
  return [...guardLevers(design), ...handleLevers(design), ...endLevers(design), ...pinLevers(design)];
}

function guardLevers({ guard }: Design): Lever[] {
  if (!guard || guard.mesh) return [];
  const last = guard.plates.length - 1;
  const change = (
    d: Design,
    of: (g: NonNullable<Design["guard"]>) => Partial<NonNullable<Design["guard"]>>,
  ) => d.guard && { ...d, guard: { ...d.guard, ...of(d.guard) } };
  const least = Math.min(guard.aboveMm, guard.belowMm);
  return [
    lengthLever("guard-thickness", 1, [-(guard.plates[last].thicknessMm - 1), 8], "metal", (d, by) => {
      if (!d.guard) return null;
      const plates = d.guard.plates.map((p, i) =>
        i === last ? { ...p, thicknessMm: rounded(p.thicknessMm + by) } : p,
      );
      return plates[last].thicknessMm >= 0.3 ? { ...d, guard: { ...d.guard, plates } } : null;
    }),
    lengthLever("guard-width", 1, [-0.4 * guard.widthMm, 0.6 * guard.widthMm], "look", (d, by) =>
      change(d, (g) => ({ widthMm: rounded(g.widthMm + by) })),
    ),
    lengthLever("guard-height", 2, [-0.8 * least, 1.2 * least], "look", (d, by) =>
      change(d, (g) => ({ aboveMm: rounded(g.aboveMm + by / 2), belowMm: rounded(g.belowMm + by / 2) })),
    ),
  ];
}

/** Points of the outline that lie at the butt. */
const AT_BUTT: readonly NodeRole[] = ["rear-top", "butt", "rear-bottom"];

function handleLevers({ handle, blade, tang }: Design): Lever[] {
  // A full tang's steel has the handle's outline: once it is in the hand it can be cut off, and no more.
  const inHand = blade.measured !== null && tang.kind === "full";
  const levers: Lever[] = [];
  if (!inHand)
    levers.push(
      lengthLever("handle-length", 3, [-15, 25], "look", (d, by) => {
        // As it is measured: a rounded butt reaches beyond its points.
        const next = stretchedHandle(d, (handleLength(d.handle, "length") ?? 0) + by);
        return next === d && by !== 0 ? null : next;
      }),
    );
  if (!inHand || blade.measured?.of.asWeighed)
    levers.push(lengthLever("butt-cut", 2, [-15, inHand ? 0 : 15], "look", buttMoved));
  levers.push(
    lengthLever("handle-thickness", 1, [-4, 6], "look", (d, by) => {
      const plan = d.handle.plan.map((p) => ({
        ...p,
        halfMm: rounded(p.halfMm + by / 2),
        leftHalfMm: p.leftHalfMm === null ? null : rounded(p.leftHalfMm + by / 2),
      }));
      return plan.every((p) => p.halfMm > 0.5) ? { ...d, handle: { ...d.handle, plan } } : null;
    }),
  );
  if (handle.kind === "scales" && handle.liners.length > 0)
    levers.push(
      lengthLever("liner-thickness", 0.2, [-(handle.liners[0].thicknessMm - 0.2), 2], "plain", (d, by) => {
        if (d.handle.kind !== "scales" || d.handle.liners.length === 0) return null;
        const liners = d.handle.liners.map((l, i) =>
          i === 0 ? { ...l, thicknessMm: rounded(l.thicknessMm + by) } : l,
        );
        return liners[0].thicknessMm >= 0.05 ? { ...d, handle: { ...d.handle, liners } } : null;
      }),
    );
  return levers;
}

/** The butt's own points moved back by so much, what lies ahead of them left alone; null where it has none. */
function buttMoved(d: Design, by: number): Design | null {
  const atButt = d.handle.outline.filter((n) => AT_BUTT.includes(n.role));
  if (atButt.length === 0) return null;
  const outline = d.handle.outline.map((n) => (atButt.includes(n) ? { ...n, xMm: rounded(n.xMm - by) } : n));
  // The handle's thickness at its end goes with its end.
  const end = Math.min(...d.handle.plan.map((p) => p.xMm));
  const plan = d.handle.plan.map((p) => (p.xMm === end ? { ...p, xMm: rounded(p.xMm - by) } : p));
  return { ...d, handle: { ...d.handle, outline, plan } };
}

/** Bolsters and ferrules at the front, what ends the handle at the butt. */
function endLevers({ handle }: Design): Lever[] {
  return [
    ...("bolsters" in handle ? bolsterLevers(handle) : []),
    ...("pieces" in handle ? pieceLevers(handle) : []),
  ];
}

function bolsterLevers({ bolsters: given }: ScalesHandle): Lever[] {
  return (["front", "rear"] as const).flatMap((at): Lever[] => {
    const bolster = given[at];
    if (!bolster) return [];
    return [
      lengthLever(`${at}-bolster`, 2, [-(bolster.lengthMm - 2), 15], "look", (d, by) => {
        const now = d.handle.kind === "scales" ? d.handle.bolsters[at] : null;
        if (d.handle.kind !== "scales" || !now) return null;
        const bolsters = { ...d.handle.bolsters, [at]: { ...now, lengthMm: rounded(now.lengthMm + by) } };
        return { ...d, handle: { ...d.handle, bolsters } };
      }),
    ];
  });
}

function pieceLevers({ pieces: given }: StackHandle): Lever[] {
  const levers: Lever[] = [];
  const [first] = given;
  const end = given.length - 1;
  const last = given[end];
  if (end > 0 && (first.role === "bolster" || first.role === "ferrule"))
    levers.push(
      lengthLever("front-bolster", 2, [-(first.lengthMm - 2), 15], "look", (d, by) =>
        withPiece(d, 0, (p) => ({ ...p, lengthMm: rounded(p.lengthMm + by) })),
      ),
    );
  const { shape } = last;
  if (shape && shape.kind !== "mesh")
    levers.push(
      lengthLever("pommel-size", 2, [-0.5 * acrossMm(shape), 14], "look", (d, by) =>
        withPiece(d, end, (p) => grown(p, by)),
      ),
    );
  if (shape && !("diameterMm" in shape) && shape.kind !== "mesh")
    levers.push(
      lengthLever("pommel-length", 2, [-(last.lengthMm - 2), 20], "look", (d, by) =>
        withPiece(d, end, (p) => ({ ...p, lengthMm: rounded(p.lengthMm + by) })),
      ),
    );
  if (!shape && (last.role === "butt-plate" || last.role === "pommel") && end > 0)
    levers.push(
      lengthLever("butt-length", 2, [-(last.lengthMm - 2), 20], "metal", (d, by) =>
        // The last piece takes the rest: it grows as the one before it gives way.
        withPiece(d, end - 1, (p) => ({ ...p, lengthMm: rounded(p.lengthMm - by) })),
      ),
    );
  return levers;
}

function withPiece(d: Design, index: number, change: (piece: Piece) => Piece): Design | null {
  if (d.handle.kind !== "stack") return null;
  const pieces = d.handle.pieces.map((p, i) => (i === index ? change(p) : p));
  return pieces[index].lengthMm > 1 ? { ...d, handle: { ...d.handle, pieces } } : null;
}

type Shape = Exclude<NonNullable<Piece["shape"]>, { kind: "mesh" }>;

const acrossMm = (s: Shape) =>
  "diameterMm" in s ? s.diameterMm : Math.min(s.aboveMm + s.belowMm, s.widthMm);

/** A piece of its own shape made so much larger across; a round one is longer by it, too. */
function grown(piece: Piece, by: number): Piece {
  const { shape } = piece;
  if (!shape || shape.kind === "mesh") return piece;
  if ("diameterMm" in shape)
    return {
      ...piece,
      lengthMm: rounded(Math.max(1, piece.lengthMm + by)),
      shape: { ...shape, diameterMm: rounded(shape.diameterMm + by) },
    };
  const { aboveMm, belowMm, widthMm } = shape;
  return {
    ...piece,
    shape: {
      ...shape,
      aboveMm: rounded(aboveMm + by / 2),
      belowMm: rounded(belowMm + by / 2),
      widthMm: rounded(widthMm + by),
    },
  };
}

/** A fastener is not moved nearer to the handle's ends than so, mm. */
const FROM_END_MM = 6;

/** The heaviest of the fasteners moved along the handle; a hole for a cord stays where it is wanted. */
function pinLevers(design: Design): Lever[] {
  const { fasteners, handle, blade, tang } = design;
  const materialOf = materialsIn(design);
  // Holes of a full tang that is in the hand are drilled already.
  if (blade.measured && tang.kind === "full") return [];
  const weightOf = (f: Fastener) => {
    const metal = "material" in f ? f.material : "tube" in f ? f.tube.material : null;
    return f.diameterMm ** 2 * (materialOf(metal ?? "")?.densityGcc.typical ?? 0);
  };
  const free = fasteners.filter((f) => f.kind !== "lanyard-tube");
  if (free.length === 0) return [];
  const heavy = free.reduce((best, f) => (weightOf(f) > weightOf(best) ? f : best));
  const reach = handleLength(handle, "length") ?? 0;
  return [
    lengthLever(
      "heavy-pin",
      3,
      [-(reach + heavy.xMm - FROM_END_MM), -heavy.xMm - FROM_END_MM],
      "plain",
      (d, by) => ({
        ...d,
        fasteners: d.fasteners.map((f) => (f.id === heavy.id ? { ...f, xMm: rounded(f.xMm + by) } : f)),
      }),
    ),
  ];
}
