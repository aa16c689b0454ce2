import { remembered } from "../../base/record/remembered";
import { assemble } from "../../knife/assembly/assemble";
import type { Design, Fastener } from "../../knife/design/schema";
import type { PartKey } from "../../knife/parts/partKey";
import type { Assembly } from "../../knife/parts/types";
import { type Passed, rayThrough } from "../weigh/rayThrough";

/** One part that a fastener passes through, and the material with its largest share. */
export interface PassedPart {
  readonly key: PartKey;
  readonly id: string;
  readonly material: string;
}

export interface PinPath {
  /** Every part that some of its hole goes through, from the left side to the right along its middle. */
  readonly parts: readonly PassedPart[];
  /** What it comes out of on each side, and how thick that is along its middle, mm; null where there is no handle. */
  readonly ends: {
    readonly right: (PassedPart & { readonly thickMm: number }) | null;
    readonly left: (PassedPart & { readonly thickMm: number }) | null;
  };
}

/** Places of a hole that are looked at: its middle, and so many on its border, at this share of its radius. */
const ON_BORDER = 8;
const BORDER_SHARE = 0.98;

/** The knife without its fasteners: what each of them goes through. */
const undrilled = remembered((design: Design): Assembly => assemble({ ...design, fasteners: [] }));

/** What each fastener really goes through, part by part, by its id. */
export const pinPaths = remembered((design: Design): ReadonlyMap<string, PinPath> => {
  const assembly = undrilled(design);
  return new Map(design.fasteners.map((f) => [f.id, pathOf(assembly, f)]));
});

function pathOf(assembly: Assembly, f: Fastener): PinPath {
  const part = ({ part: i }: Passed): PassedPart => {
    const { key, id, materials } = assembly.parts[i];
    return { key, id, material: [...materials].sort((a, b) => b.share - a.share)[0].materialId };
  };
  const middle = rayThrough(assembly, f.xMm, f.yMm);
  const parts = new Map(middle.map((p) => [assembly.parts[p.part].id, part(p)]));
  const r = (f.diameterMm / 2) * BORDER_SHARE;
  for (let k = 0; k < ON_BORDER; k++) {
    const angle = (2 * Math.PI * k) / ON_BORDER;
    for (const p of rayThrough(assembly, f.xMm + r * Math.cos(angle), f.yMm + r * Math.sin(angle)))
      if (!parts.has(assembly.parts[p.part].id)) parts.set(assembly.parts[p.part].id, part(p));
  }
  const end = (p: Passed | undefined) => (p ? { ...part(p), thickMm: p.toMm - p.fromMm } : null);
  return {
    parts: [...parts.values()],
    ends: { right: end(middle[middle.length - 1]), left: end(middle[0]) },
  };
}

/** Whether a part is of the handle that a maker drills and may split: a scale, a bolster, a piece, a frame. */
export function isDrilled({ kind }: PartKey): boolean {
  return (
    kind === "scale" || kind === "bolster" || kind === "piece" || kind === "frame" || kind === "tang-rest"
  );
}
