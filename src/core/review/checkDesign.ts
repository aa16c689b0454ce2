import { assemble } from "../assembly/assemble";
import type { Assembly } from "../assembly/types";
import type { Design, Piece } from "../design/schema";
import { decodeMesh } from "../files/mesh/stored";
import { materialById } from "../stock/materials";
import { checkBlade } from "./checkBlade";
import { checkBored } from "./checkBored";
import { checkGuard } from "./checkGuard";
import { checkHandle, checkRoom } from "./checkHandle";
import { checkOutline } from "./checkOutline";
import { checkTang } from "./checkTang";
import { holesOf, slotsOf } from "./openings";
import type { Finding, Report } from "./types";

/** What makes a design impossible to build ("error"), or not what it says ("warning"). Empty when all is well. */
export function checkDesign(design: Design, assembly: Assembly = assemble(design)): Finding[] {
  const findings: Finding[] = [];
  const report: Report = (severity, rule, { at, subject, measured, limit } = {}) =>
    findings.push({
      rule,
      severity,
      at: at ? { x: at.x, y: at.y } : null,
      subject: subject ?? null,
      measured: measured ?? null,
      limit: limit ?? null,
    });
  for (const id of materialsOf(assembly))
    if (!materialById(id)) report("error", "unknown-material", { subject: id });
  checkBlade(design, report);
  const edge = checkOutline(design, report);
  checkIds(design, report);
  checkShapes(design, report);
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
  return [...new Set(parts.flatMap((p) => p.made.map((m) => m.materialId)))];
}

function checkIds(design: Design, report: Report): void {
  const { handle } = design;
  const items = handle.kind === "stack" ? [...handle.pieces, ...handle.rings] : handle.joints;
  const ids = [...design.fasteners, ...holesOf(design), ...slotsOf(design), ...items].map((f) => f.id);
  for (const id of new Set(ids.filter((x, i) => ids.indexOf(x) !== i)))
    report("error", "duplicate-id", { subject: id });
}

/** Imported shapes that are placed: there, and readable. */
function checkShapes({ guard, handle, meshes }: Design, report: Report): void {
  const ofPiece = (p: Piece) => (p.shape?.kind === "mesh" ? [p.shape.place.meshId] : []);
  const placed = [
    ...(guard?.mesh ? [guard.mesh.meshId] : []),
    ...(handle.kind === "stack" ? handle.pieces.flatMap(ofPiece) : []),
  ];
  for (const id of new Set(placed)) {
    const stored = meshes.find((m) => m.id === id);
    if (!stored || !decodeMesh(stored)) report("error", "shape-missing", { subject: id });
  }
}
