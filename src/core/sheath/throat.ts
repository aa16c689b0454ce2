import { assemble } from "../knife/assembly/assemble";
import type { Design } from "../knife/design/schema";
import { layoutOf } from "../knife/layout/layout";
import type { PartKey } from "../knife/parts/partKey";
import type { Assembly } from "../knife/parts/types";
import { stationAt } from "./sections";

/** Of the handle's front half the swell is looked for, at so many stations. */
const FRONT_SHARE = 0.5;
const SWELL_STATIONS = 24;
/** So much of the handle stays out at least, to be taken hold of, mm. */
const LEFT_OUT_MM = 20;

/** Where the handle is highest within its front part: as far as that a sheath that holds by the handle covers it. */
function swellMm(design: Design): number {
  const assembly = assemble(design);
  const { frontX, buttX } = layoutOf(design);
  const lengthMm = frontX - buttX;
  let [best, at] = [0, frontX];
  for (let i = 1; i <= SWELL_STATIONS; i++) {
    const x = frontX - (FRONT_SHARE * lengthMm * i) / SWELL_STATIONS;
    const s = stationAt(assembly, x);
    const tall = s ? s.highY - s.lowY : 0;
    if (tall > best) [best, at] = [tall, x];
  }
  return frontX - at;
}

/** How far it covers the handle where its maker does not say: not at all behind a guard, else up to its swell. */
export const proposedDepthMm = (design: Design): number => (design.guard ? 0 : swellMm(design));

/** So much of the handle is covered at most, mm. */
export function mostDepthMm(design: Design): number {
  const { frontX, buttX } = layoutOf(design);
  return Math.max(0, frontX - buttX - LEFT_OUT_MM);
}

/** Where the throat lies: at the front of a guard, which is the datum, or so far behind the handle's front. */
export const throatAt = (design: Design, depthMm: number): number =>
  design.guard && depthMm === 0 ? 0 : layoutOf(design).frontX - depthMm;

/** The blade's foremost station. */
export function tipOf(design: Design): number {
  const { parts, regions } = assemble(design);
  const ends = parts
    .filter((p) => p.key.kind === "blade")
    .flatMap((p) => p.regions.map((r) => regions[r].xRange[1]));
  return Math.max(...ends.filter(Number.isFinite));
}

/** What stays outside of a throat that is cut to the guard, with arms that reach forward. */
const OUTSIDE: readonly PartKey["kind"][] = ["guard", "fitting"];

/** All of a knife that a sheath may have inside. */
export function goesIn(design: Design, throatMm: number): Assembly {
  const whole = assemble(design);
  return throatMm < 0 ? whole : { ...whole, parts: whole.parts.filter((p) => !OUTSIDE.includes(p.key.kind)) };
}
