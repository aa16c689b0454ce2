import type { Design } from "../design/schema";
import { bladeRegion } from "../solids/bladeRegion";
import { all, type Building, beginning } from "./building";
import { addFastener } from "./fasteners";
import { groundBlade } from "./groundBlade";
import { addCollar, addDowels, addGuard, addNotch, guardHousings } from "./guards";
import { bodyRegion } from "./handleBody";
import { addPieces, bodyEnd, shapedPieces } from "./pieces";
import { addRingBores, addRings } from "./rings";
import { addScales } from "./scales";
import { addInTang, addTang, addTangHole } from "./tangs";
import type { Assembly } from "./types";

/**
 * Turns a design into the parts that occupy its space. Never fails: a dimension that cannot be built is drawn as
 * near as it can be, and the review names it.
 */
export function assemble(design: Design): Assembly {
  const b = beginning(design);
  const { blade, handle, guard } = design;
  const body = b.put(bodyRegion(b, bodyRange(b)));
  const shaped = handle.kind === "stack" ? shapedPieces(b, handle) : [];
  const housings = [[body], ...shaped.flatMap((s) => s.housings)];
  const plates = guard ? guardHousings(b, guard) : [];
  const rings = handle.kind === "stack" ? handle.rings : [];

  addRingBores(b, rings);
  if (guard) addNotch(b, guard, plates);
  if (guard) addDowels(b, guard);
  for (const f of design.fasteners) addFastener(b, f, body);
  addInTang(b, housings);
  b.add("blade", "blade", "Blade", all(blade.steel), b.put(bladeRegion(groundBlade(blade))));
  addTang(
    b,
    housings,
    plates.map((p) => p.of),
  );
  if (guard) addGuard(b, guard, plates);
  addTangHole(b, housings, body);
  if (handle.kind === "scales") addScales(b, handle, body);
  else addPieces(b, handle, body, shaped);
  addRings(b, rings);
  if (guard) addCollar(b, guard);
  return { regions: b.regions, parts: b.parts };
}

/** Stations of the body that follows the handle's outline: up to where shaped pieces at the end begin. */
function bodyRange(b: Building): [number, number] {
  const { handle } = b.design;
  const [butt, front] = b.behind;
  return [handle.kind === "stack" ? bodyEnd(handle, front, butt) : butt, front];
}
