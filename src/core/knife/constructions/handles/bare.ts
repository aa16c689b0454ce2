import { lineAt } from "../../../geometry/solids/line";
import type { LoftSide } from "../../../geometry/solids/loft";
import { sectionOf } from "../../../geometry/solids/section";
import { slabRegion } from "../../../geometry/solids/slab";
import type { BareHandle } from "../../design/schema";
import { upright } from "../../parts/cells";
import { handleKind } from "./kind";

/** A full tang with nothing on it but what is wound round it. */
export const bare = handleKind<BareHandle>({
  kind: "bare",
  tangs: ["full"],
  apart: "bare-needs-full-tang",
  begin: (shape) => ({ kind: "bare", ...shape }),
  mainMaterial: () => "walnut-black",
  gripMaterials: (_, steel) => [steel],
  materialAt: () => null,
  withMaterial: (handle) => handle,
  moved: (handle) => handle,
  loft: (_, { outline, tangFace }, xRange) => {
    const face = (x: number) => lineAt(tangFace, x);
    const side: LoftSide = { crown: { knots: [], at: face }, land: () => 0, cap: face };
    const flat = sectionOf(0);
    return { outline, xRange, right: side, left: side, sectionAt: () => flat, stations: [] };
  },
  body: (_, { outline, tangFace }, xRange) => slabRegion(outline, tangFace, xRange),
  faults: () => undefined,
  build: () => undefined,
  cells: (_, { design, frontX, buttX }) => [
    {
      id: "tang",
      material: design.blade.steel,
      front: upright(frontX),
      rear: upright(buttX),
      parted: false,
    },
  ],
  pieces: () => [],
  glue: () => undefined,
  gluedParts: () => 0,
  minutes: () => ({}),
  partRefs: () => ["tang"],
});
