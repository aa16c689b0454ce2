import { joined } from "../../geometry/contours/clip";
import type { Point } from "../../geometry/curve/bezier";
import type { Design } from "../../knife/design/schema";
import type { PartKey, Side } from "../../knife/parts/partKey";
import { type Closeness, swept } from "../pieces/swept";
import { Cut } from "../weigh/cut";
import { DEFAULT_FINENESS } from "../weigh/integrate";
import { activeAt, xPanels } from "../weigh/panels";
import { assembleDrawn } from "./drawn";

/** What shows of a part from one side. */
export interface SeenPart {
  readonly key: PartKey;
  readonly id: string;
  readonly material: string;
  /** Closed chord lines in the frame, outer ones counter-clockwise and openings the other way. */
  readonly loops: readonly (readonly Point[])[];
}

/** For a drawing of the whole knife. */
const DRAWN: Closeness = { chordMm: 0.03, firstMm: 3 };
/** Stretches of one part that are nearer than this are one, mm. */
const TOUCHING_MM = 1e-3;

/**
 * What is seen of a knife from the right or from the left: of every part what lies outermost, worked out of the parts
 * that are weighed. In their order of precedence.
 */
export function seenSides(design: Design, side: Side): SeenPart[] {
  const assembly = assembleDrawn(design);
  const { regions, parts } = assembly;
  const ids = [...new Set(parts.filter((p) => p.materials.length > 0).map((p) => p.id))];
  const numbers = parts.map((p) => (p.materials.length > 0 ? ids.indexOf(p.id) : -1));
  const cut = new Cut(assembly, DEFAULT_FINENESS);
  const panels = xPanels(assembly);
  if (panels.length === 0) return [];
  const strips = swept(
    [panels[0].a, ...panels.map((p) => p.b)],
    ids.length,
    (x) => {
      cut.turnTo(x, activeAt(regions, x));
      const ends: number[][] = ids.map(() => []);
      let [from, to, best, top] = [Number.NaN, Number.NaN, Number.NEGATIVE_INFINITY, -1];
      const put = () => {
        if (top < 0) return;
        const of = ends[top];
        if (of.length > 0 && from <= of[of.length - 1] + TOUCHING_MM) of[of.length - 1] = to;
        else of.push(from, to);
      };
      cut.forEachFilled((part, y0, y1, z0, z1) => {
        if (y0 !== from) {
          put();
          [from, to, best, top] = [y0, y1, Number.NEGATIVE_INFINITY, -1];
        }
        const out = side === "right" ? z1 : -z0;
        if (numbers[part] < 0 || !(out > best)) return;
        [best, top] = [out, numbers[part]];
      });
      put();
      return ends;
    },
    DRAWN,
  );
  return ids.flatMap((id, k): SeenPart[] => {
    const loops = joined(strips[k]);
    const part = parts.find((p) => p.id === id && p.materials.length > 0);
    return part && loops.length > 0
      ? [{ key: part.key, id, material: part.materials[0].materialId, loops }]
      : [];
  });
}
