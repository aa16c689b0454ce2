import { roundTo } from "../number";
import { newShort } from "./constructions";
import { round } from "./create";
import type { Blade, Design, MeasuredBlade } from "./schema";

/** A blade in the hand to begin from: what the drawn one weighs, to a scale and a rule of the shop. */
export function newMeasured(massG: number, balanceMm: number): MeasuredBlade {
  return {
    massG: Math.max(0.5, roundTo(massG, 1)),
    balance: { kind: "direct", xMm: Math.round(balanceMm * 2) / 2 },
    massOffG: 0.5,
    balanceOffMm: 0.5,
    holesIn: true,
  };
}

/** The same balance, told the other way. The supports begin at the datum and at the blade's middle. */
export function withBalanceKind(blade: Blade, kind: "direct" | "supports"): MeasuredBlade | null {
  const { measured } = blade;
  if (!measured || measured.balance.kind === kind) return measured;
  if (measured.balance.kind === "direct") {
    const scaleAtMm = round(blade.lengthMm * 0.6);
    const readingG = Math.max(0, round((measured.massG * measured.balance.xMm) / scaleAtMm));
    return { ...measured, balance: { kind: "supports", restAtMm: 0, scaleAtMm, readingG } };
  }
  const { restAtMm, scaleAtMm, readingG } = measured.balance;
  const xMm = round(restAtMm + (readingG * (scaleAtMm - restAtMm)) / measured.massG);
  return { ...measured, balance: { kind: "direct", xMm } };
}

/**
 * An old knife to be re-handled: its short tang lengthened by a welded piece, the old pins' holes filled with mild
 * steel, and a new hole drilled behind each. Only a full tang can be; another comes back as it was.
 */
export function asRehandled(design: Design): Design {
  const { tang } = design;
  if (tang.kind !== "full") return design;
  const pins = design.fasteners.filter((f) => f.kind === "pin");
  const old = pins.map((p) => ({
    id: `old-${p.id}`.slice(0, 40),
    xMm: p.xMm,
    yMm: p.yMm,
    diameterMm: p.diameterMm,
    fill: "mild-steel",
    purpose: "old-pin" as const,
  }));
  const known = new Set(tang.holes.map((h) => h.id));
  return {
    ...design,
    tang: {
      ...tang,
      short: tang.short ?? newShort(design),
      holes: [...tang.holes, ...old.filter((h) => !known.has(h.id))].slice(0, 60),
    },
    fasteners: design.fasteners.map((f) =>
      f.kind === "pin" && !known.has(`old-${f.id}`) ? { ...f, xMm: round(f.xMm - f.diameterMm - 2) } : f,
    ),
  };
}
