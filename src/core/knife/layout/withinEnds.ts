import { roundTo } from "../../base/number";
import { kindOf } from "../../kinds/fasteners/registry";
import type { Design } from "../design/schema";
import { handleLength } from "./handleLengths";

/** The first and the last fastener of a handle hold its ends down from no farther than this, mm: as the rule has it. */
const HOLDS_MM = 25;
/** Beside a hole so much of the tang is left, and half its diameter at least, mm: a little more than the rule. */
const WEB_MM = 1.6;
/** A hole that is nearer to the butt than this share of the handle is the butt's own. */
const AT_BUTT_SHARE = 0.2;

/**
 * A handle that was stretched, with what is drilled through it where it can stay: fasteners that held its ends down still do,
 * in a shorter handle a hole at the butt is as far from it as it was, and lightening holes that have come too near to others are left out.
 * Nothing of a handle that is as long as before.
 */
export function withinEnds(before: Design, after: Design): Design {
  const [was, now] = [before, after].map((d) => handleLength(d.handle, "length") ?? 0);
  if (!(was > 0) || !(now > 0) || was === now) return after;
  const fasteners = now > was ? nearEnds(before, after, was, now) : after.fasteners;
  const { tang } = after;
  if (tang.kind !== "full" || before.tang.kind !== "full") return { ...after, fasteners };
  const { holes: holesBefore } = before.tang;
  const moved = tang.holes.map((hole, i) => {
    const at = holesBefore[i]?.xMm ?? hole.xMm;
    return now < was && was + at < AT_BUTT_SHARE * was ? { ...hole, xMm: roundTo(at + was - now, 2) } : hole;
  });
  const round = (item: { xMm: number; yMm: number }, diameterMm: number) => ({ ...item, diameterMm });
  const taken = fasteners.map((f) => round(f, kindOf(f).widestMm(f)));
  const holes = moved.filter((hole) => {
    const near = taken.some((other) => {
      const webMm =
        Math.hypot(other.xMm - hole.xMm, other.yMm - hole.yMm) - (other.diameterMm + hole.diameterMm) / 2;
      return webMm < Math.max(WEB_MM, Math.max(other.diameterMm, hole.diameterMm) / 2);
    });
    const stays = !near || hole.purpose !== "lighten";
    if (stays) taken.push(round(hole, hole.diameterMm));
    return stays;
  });
  return { ...after, fasteners, tang: { ...tang, holes } };
}

/** Fasteners of a longer handle: the first and the last as near to its ends as they hold them down from. */
function nearEnds(before: Design, after: Design, was: number, now: number): Design["fasteners"] {
  const xs = before.fasteners.map((f) => f.xMm);
  const [first, last] = [Math.max(...xs), Math.min(...xs)];
  return after.fasteners.map((f, i) => {
    const at = xs[i];
    if (at === first && -at <= HOLDS_MM) return { ...f, xMm: Math.max(f.xMm, at) };
    if (at === last && was + at <= HOLDS_MM)
      return { ...f, xMm: Math.min(f.xMm, roundTo(was + at - now, 2)) };
    return f;
  });
}
