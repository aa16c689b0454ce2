import { remembered } from "../../base/record/remembered";
import { bladeRegion } from "../../geometry/solids/bladeRegion";
import { whole } from "../../kinds/fasteners/kind";
import { handleModule } from "../constructions/handles/registry";
import { tangModule } from "../constructions/tangs/registry";
import { ringsOf } from "../design/handleParts";
import type { Design } from "../design/schema";
import { bladeAdditions, notchRegions } from "../layout/bladeParts";
import { layoutOf } from "../layout/layout";
import { AssemblyBuilder } from "../parts/builder";
import type { Assembly } from "../parts/types";
import { workedAs } from "../shapes/textures";
import { addFastener } from "./fasteners";
import { addGrooves, addWraps } from "./grips";
import { addFittings, addGuard, plateStretches } from "./guards";
import { addRingBores, addRings } from "./rings";

/**
 * Turns a design into the parts that occupy its space. Never fails: a dimension that cannot be built is drawn as
 * near as it can be, and the checks name it.
 */
export const assemble = remembered((design: Design): Assembly => {
  const b = new AssemblyBuilder(layoutOf(design));
  const { blade, handle, guard } = design;
  const body = b.put(b.layout.plainBody);
  const shaped = b.layout.shapedPieces.map(({ piece, stretches }) => ({
    piece,
    stretches: b.putAll(stretches),
  }));
  const housings = [[body], ...shaped.flatMap((s) => s.stretches)];
  const plates = guard ? plateStretches(b, guard) : [];
  const rings = ringsOf(handle);
  const tang = tangModule(design.tang);
  const site = { housings, plates: plates.map((p) => p.of), body };

  addGrooves(b, handle, body);
  addRingBores(b, rings);
  if (guard) addFittings(b, guard, plates, "first");
  for (const f of design.fasteners) addFastener(b, f, body);
  tang.buildInside(design.tang, b, site);
  for (const n of blade.notches)
    b.add("blade", { kind: "blade-notch", id: n.id }, [], ...notchRegions(blade, n).map((r) => b.put(r)));
  for (const region of [bladeRegion(b.layout.blade), ...bladeAdditions(blade)])
    b.addMade(
      { worked: workedAs(blade.face, "flats") },
      "blade",
      { kind: "blade" },
      whole(blade.steel),
      b.put(region),
    );
  tang.build(design.tang, b, site);
  if (guard) addGuard(b, guard, plates);
  tang.buildAround(design.tang, b, site);
  handleModule(handle).build(handle, b, { body, shaped });
  addRings(b, rings);
  if (guard) addFittings(b, guard, plates, "last");
  addWraps(b, handle);
  return b.done();
});
