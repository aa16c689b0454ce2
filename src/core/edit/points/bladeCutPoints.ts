import { isDouble } from "../../geometry/solids/grind";
import type { Blade, BladeMark, Fuller } from "../../knife/design/schema";
import { markMiddle, placedMark } from "../../knife/layout/bladeMarks";
import { bladeEdges, notchRound } from "../../knife/layout/bladeParts";
import { type BenchPoint, setHeld } from "./types";

/** The points of false edge, fullers, notches, thumb ramp and integral bolster. */
export function bladeCutPoints(blade: Blade): BenchPoint[] {
  return [
    ...swedgePoints(blade),
    ...blade.fullers.flatMap((f, i) => fullerPoints(blade, f, i)),
    ...blade.notches.map((n, i): BenchPoint => {
      const { xMm, yMm, radiusMm } = notchRound(blade, n);
      return {
        id: n.id,
        name: { point: "notch", purpose: n.purpose },
        at: { x: xMm, y: yMm + radiusMm },
        move: (d, to) => {
          setHeld(d, `blade.notches.${i}.xMm`, to.x);
          setHeld(d, `blade.notches.${i}.depthMm`, to.y - bladeEdges(blade, to.x)[0]);
        },
        remove: (d) => void d.blade.notches.splice(i, 1),
        fields: [
          { path: `blade.notches.${i}.xMm` },
          { path: `blade.notches.${i}.depthMm` },
          { path: `blade.notches.${i}.radiusMm` },
        ],
      };
    }),
    ...blade.marks.map((m, i) => markPoint(blade, m, i)),
    ...rampPoints(blade),
    ...bolsterPoints(blade),
  ];
}

/** A mark is held under its lower edge, so that it can be read, mm. */
const UNDER_MARK_MM = 2;

function markPoint(blade: Blade, mark: BladeMark, i: number): BenchPoint {
  const path = `blade.marks.${i}`;
  const middle = markMiddle(blade, mark);
  const lowest = Math.min(...placedMark(blade, mark).flatMap((l) => l.map((p) => p.y)));
  const under = middle.y - lowest + UNDER_MARK_MM;
  return {
    id: mark.id,
    name: { point: "mark", number: i + 1 },
    at: { x: middle.x, y: middle.y - under },
    move: (d, to) => {
      setHeld(d, `${path}.xMm`, to.x);
      setHeld(d, `${path}.downMm`, bladeEdges(blade, to.x)[1] - to.y - under);
    },
    remove: (d) => void d.blade.marks.splice(i, 1),
    fields: [{ path: `${path}.xMm` }, { path: `${path}.downMm` }, { path: `${path}.heightMm` }],
  };
}

function swedgePoints(blade: Blade): BenchPoint[] {
  const { swedge, lengthMm } = blade;
  if (!swedge) return [];
  const x = Math.max(0, lengthMm - swedge.lengthMm + swedge.runOutMm);
  const [, top] = bladeEdges(blade, x);
  return [
    {
      id: "swedge",
      name: { point: "swedge" },
      at: { x, y: top - swedge.heightMm },
      move: (d, to) => {
        setHeld(d, "blade.swedge.lengthMm", lengthMm - to.x + swedge.runOutMm);
        setHeld(d, "blade.swedge.heightMm", bladeEdges(blade, to.x)[1] - to.y);
      },
      remove: (d) => {
        d.blade.swedge = null;
      },
      fields: [{ path: "blade.swedge.lengthMm" }, { path: "blade.swedge.heightMm" }],
    },
  ];
}

/** The line that a fuller's middle is measured down from, at a station. */
function zeroOf(blade: Blade, f: Fuller, x: number): number {
  const [low, high] = bladeEdges(blade, x);
  const share = isDouble(blade.grind) ? blade.grind.ridgeShare : 0.5;
  return f.from === "spine" ? high : low + share * (high - low);
}

function fullerPoints(blade: Blade, f: Fuller, i: number): BenchPoint[] {
  const path = `blade.fullers.${i}`;
  const at = (x: number) => ({ x, y: zeroOf(blade, f, x) - f.downMm });
  const end = (key: "fromMm" | "toMm"): BenchPoint => ({
    id: `${f.id}-${key}`,
    name: { point: key === "fromMm" ? "fuller-beginning" : "fuller-end", number: i + 1 },
    at: at(f[key]),
    corner: true,
    move: (d, to) => setHeld(d, `${path}.${key}`, to.x),
    fields: [{ path: `${path}.${key}` }],
  });
  return [
    {
      id: f.id,
      name: { point: "fuller", number: i + 1 },
      at: at((f.fromMm + f.toMm) / 2),
      move: (d, to) => {
        const by = to.x - (f.fromMm + f.toMm) / 2;
        setHeld(d, `${path}.fromMm`, f.fromMm + by);
        setHeld(d, `${path}.toMm`, f.toMm + by);
        setHeld(d, `${path}.downMm`, zeroOf(blade, f, to.x) - to.y);
      },
      remove: (d) => void d.blade.fullers.splice(i, 1),
      fields: [{ path: `${path}.downMm` }, { path: `${path}.depthMm` }, { path: `${path}.radiusMm` }],
    },
    end("fromMm"),
    end("toMm"),
  ];
}

function rampPoints(blade: Blade): BenchPoint[] {
  const { ramp } = blade;
  if (!ramp) return [];
  const crest = ramp.fromMm + ramp.lengthMm;
  return [
    {
      id: "ramp",
      name: { point: "ramp" },
      at: { x: crest, y: bladeEdges(blade, crest)[1] + ramp.riseMm },
      move: (d, to) => {
        setHeld(d, "blade.ramp.lengthMm", to.x - ramp.fromMm);
        setHeld(d, "blade.ramp.riseMm", to.y - bladeEdges(blade, to.x)[1]);
      },
      remove: (d) => {
        d.blade.ramp = null;
      },
      fields: [{ path: "blade.ramp.lengthMm" }, { path: "blade.ramp.riseMm" }],
    },
  ];
}

function bolsterPoints(blade: Blade): BenchPoint[] {
  const { bolster } = blade;
  if (!bolster) return [];
  const { lengthMm, aboveMm, belowMm } = bolster;
  const [, top] = bladeEdges(blade, lengthMm);
  const height = (key: "aboveMm" | "belowMm", sign: 1 | -1): BenchPoint => ({
    id: `bolster-${key}`,
    name: { point: key === "aboveMm" ? "bolster-above" : "bolster-below" },
    at: { x: 0, y: sign * (key === "aboveMm" ? aboveMm : belowMm) },
    corner: true,
    move: (d, to) => setHeld(d, `blade.bolster.${key}`, sign * to.y),
    fields: [{ path: `blade.bolster.${key}` }],
  });
  return [
    {
      id: "bolster-front",
      name: { point: "bolster-front" },
      at: { x: lengthMm, y: top },
      corner: true,
      move: (d, to) => setHeld(d, "blade.bolster.lengthMm", to.x),
      fields: [{ path: "blade.bolster.lengthMm" }],
    },
    height("aboveMm", 1),
    height("belowMm", -1),
  ];
}
