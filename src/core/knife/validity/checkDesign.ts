import { isRecord } from "../../base/isRecord";
import { crossesItself } from "../../geometry/solids/meshFaults";
import { MOST_LAYERS } from "../../geometry/solids/meshLayers";
import { assemble } from "../assembly/assemble";
import { halvesOf, jointsOf, piecesOf, ringsOf } from "../design/handleParts";
import { materialsIn } from "../design/materials";
import { holesOf, slotsOf } from "../design/openings";
import type { Design, Piece, StoredMesh } from "../design/schema";
import { decodeMesh } from "../design/storedMesh";
import type { Fault, Report } from "../parts/faults";
import type { Assembly } from "../parts/types";
import { rememberedByKey, shapeKey } from "../shapes/imported";
import { checkBlade } from "./checkBlade";
import { checkBored } from "./checkBored";
import { checkGuard } from "./checkGuard";
import { checkHandle, checkRoom } from "./checkHandle";
import { checkOutline } from "./checkOutline";
import { checkTang } from "./checkTang";

/** What makes a design impossible to build ("error"), or not what it says ("warning"). Empty when all is well. */
export function checkDesign(design: Design, assembly: Assembly = assemble(design)): Fault[] {
  const findings: Fault[] = [];
  const report: Report = (severity, rule, { at, subject, measured, limit, items } = {}) =>
    findings.push({
      rule,
      severity,
      at: at ? { x: at.x, y: at.y } : null,
      subject: subject ?? null,
      measured: measured ?? null,
      limit: limit ?? null,
      ...(items ? { items } : {}),
    });
  const materialOf = materialsIn(design);
  for (const id of materialsOf(assembly))
    if (!materialOf(id)) report("error", "unknown-material", { subject: id });
  checkBlade(design, report);
  const edge = checkOutline(design, report);
  checkIds(design, report);
  checkShapes(design, assembly, report);
  checkBored(design, edge, report);
  if (checkRoom(design, report)) {
    checkHandle(design, edge, report);
    checkTang(design, report);
    checkGuard(design, report);
  }
  return findings;
}

/** Ids of all materials that an assembly is made of. */
export function materialsOf({ parts }: Assembly): string[] {
  return [...new Set(parts.flatMap((p) => p.materials.map((m) => m.materialId)))];
}

function checkIds(design: Design, report: Report): void {
  const { handle } = design;
  const halves = halvesOf(handle);
  const items = [...piecesOf(handle), ...ringsOf(handle), ...jointsOf(handle), ...halves, ...handle.grooves];
  // What is drilled, sawn and pointed at by its id has its own among all of its sort; all else within its own list.
  const pointedAt = [...design.fasteners, ...holesOf(design), ...slotsOf(design), ...items];
  const named = new Set<string>();
  for (const ids of [pointedAt.map((i) => i.id), ...idLists(design)])
    for (const [i, id] of ids.entries()) if (ids.indexOf(id) !== i) named.add(id);
  for (const id of named) report("error", "duplicate-id", { subject: id });
}

/** The ids of every list in a record that tells its items apart by them, however deep it lies. */
function idLists(value: unknown): string[][] {
  if (typeof value !== "object" || value === null) return [];
  const inside = Object.values(value);
  const own = Array.isArray(value)
    ? value.flatMap((v) => (isRecord(v) && typeof v.id === "string" ? [v.id] : []))
    : [];
  return [own, ...inside.flatMap(idLists)];
}

/** Placed shapes may have so many triangles together: two of 2,000 sides, which weigh in about a second however they lie. */
export const MOST_PLACED_TRIANGLES = 16_000;

/** Imported shapes that are placed: there, readable, whole in themselves, and not more than can be weighed. */
function checkShapes({ guard, handle, meshes }: Design, { regions }: Assembly, report: Report): void {
  const ofPiece = (p: Piece) => (p.shape?.kind === "mesh" ? [p.shape.place.meshId] : []);
  const placed = [
    ...(guard?.mesh ? [guard.mesh.meshId] : []),
    ...piecesOf(handle).flatMap(ofPiece),
    ...halvesOf(handle).flatMap(({ shape }) => (shape.kind === "mesh" ? [shape.place.meshId] : [])),
  ];
  for (const id of new Set(placed)) {
    const stored = meshes.find((m) => m.id === id);
    const known = stored && knownOf(stored);
    if (!known) report("error", "shape-missing", { subject: id });
    else if (known.crosses) report("error", "shape-crosses-itself", { subject: id });
  }
  const triangles = placed.reduce((sum, id) => {
    const stored = meshes.find((m) => m.id === id);
    return sum + ((stored && knownOf(stored)?.triangles) ?? 0);
  }, 0);
  if (triangles > MOST_PLACED_TRIANGLES)
    report("error", "shapes-too-fine", { measured: triangles, limit: MOST_PLACED_TRIANGLES });
  const folds = Math.max(0, ...regions.map((r) => (r.kind === "mesh-layer" ? r.of : 0)));
  if (folds > MOST_LAYERS) report("error", "shape-too-folded", { measured: folds, limit: MOST_LAYERS });
}

/** What is known of a stored shape, found out once; null where it is damaged. */
const knownShapes = new Map<string, { triangles: number; crosses: boolean } | null>();

function knownOf(stored: StoredMesh) {
  return rememberedByKey(knownShapes, shapeKey(stored), () => {
    const mesh = decodeMesh(stored);
    return mesh && { triangles: mesh.triangles.length / 3, crosses: crossesItself(mesh) };
  });
}
