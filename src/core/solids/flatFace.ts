import { ROUNDING } from "../tolerances";
import type { Line } from "./line";

/** A face that runs straight along the knife between two stations, level across it: a tang's, a liner's, a bevel's. mm. */
export interface FlatFace {
  readonly line: Line;
  readonly xRange: readonly [number, number];
}

/** Stations at which two of the faces cross, each within both of its faces' stretches. */
export function faceCrossings(faces: readonly FlatFace[]): number[] {
  const found: number[] = [];
  const own = apart(faces);
  // Those that run level never cross one another: most of them do.
  const sloped = own.filter((f) => f.line.slope !== 0);
  const level = own.filter((f) => f.line.slope === 0);
  sloped.forEach((p, i) => {
    for (const q of [...sloped.slice(i + 1), ...level]) {
      const steeper = p.line.slope - q.line.slope;
      if (Math.abs(steeper) < ROUNDING) continue;
      const x = (q.line.at0 - p.line.at0) / steeper;
      if (inside(p, x) && inside(q, x)) found.push(x);
    }
  });
  return found;
}

const inside = ({ xRange }: FlatFace, x: number) => x > xRange[0] && x < xRange[1];

/** The faces, each once: the same face may bound several parts. */
function apart(faces: readonly FlatFace[]): FlatFace[] {
  const known = new Map<string, FlatFace>();
  for (const face of faces) {
    const key = `${face.line.at0} ${face.line.slope} ${face.xRange[0]} ${face.xRange[1]}`;
    if (!known.has(key)) known.set(key, face);
  }
  return [...known.values()];
}

/** A face and the same one on the other side of the centre plane. */
export function bothSides(line: Line, xRange: readonly [number, number]): FlatFace[] {
  return [
    { line, xRange },
    { line: { at0: -line.at0, slope: -line.slope }, xRange },
  ];
}
