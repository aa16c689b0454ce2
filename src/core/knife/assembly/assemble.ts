import { byKind } from "../../base/record/byKind";
import { bladeRegion } from "../../geometry/solids/bladeRegion";
import { whole } from "../../kinds/fasteners/kind";
import { ringsOf } from "../design/handleParts";
import type { Design } from "../design/schema";
import { bladeAdditions, notchRegions } from "../layout/bladeParts";
import { remembered } from "../layout/remembered";
import { AssemblyBuilder } from "./builder";
import { addFastener } from "./fasteners";
import { addGrooves, addWrap } from "./grips";
import { addFittings, addGuard, plateStretches } from "./guards";
import { addPieces } from "./pieces";
import { addRingBores, addRings } from "./rings";
import { addScales } from "./scales";
import { addInTang, addTang, addTangHole } from "./tangs";
import type { Assembly } from "./types";

/**
 * Turns a design into the parts that occupy its space. Never fails: a dimension that cannot be built is drawn as
 * near as it can be, and the checks name it.
 */
export const assemble = remembered((design: Design): Assembly => {
  const b = new AssemblyBuilder(design);
  const { blade, handle, guard } = design;
  const body = b.put(b.layout.plainBody);
  const shaped = b.layout.shapedPieces.map(({ piece, stretches }) => ({
    piece,
    stretches: b.putAll(stretches),
  }));
  const housings = [[body], ...shaped.flatMap((s) => s.stretches)];
  const plates = guard ? plateStretches(b, guard) : [];
  const rings = ringsOf(handle);

  addGrooves(b, handle, body);
  addRingBores(b, rings);
  if (guard) addFittings(b, guard, plates, "first");
  for (const f of design.fasteners) addFastener(b, f, body);
  addInTang(b, housings);
  for (const n of blade.notches)
    b.add("blade", { kind: "blade-notch", id: n.id }, [], ...notchRegions(blade, n).map((r) => b.put(r)));
  for (const region of [bladeRegion(b.layout.blade), ...bladeAdditions(blade)])
    b.add("blade", { kind: "blade" }, whole(blade.steel), b.put(region));
  addTang(
    b,
    housings,
    plates.map((p) => p.of),
  );
  if (guard) addGuard(b, guard, plates);
  addTangHole(b, housings, body);
  byKind(handle, {
    scales: (scales) => addScales(b, scales, body),
    stack: (stack) => addPieces(b, stack, body, shaped),
    bare: () => undefined,
  });
  addRings(b, rings);
  if (guard) addFittings(b, guard, plates, "last");
  addWrap(b, handle);
  return b.done();
});
