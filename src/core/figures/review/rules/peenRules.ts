import { roundTo } from "../../../base/number";
import { kindOf } from "../../../kinds/fasteners/registry";
import { endKindOf } from "../../../kinds/tangEnds/registry";
import { materialsIn } from "../../../knife/design/materials";
import type { Design, Fastener } from "../../../knife/design/schema";
import { layoutOf } from "../../../knife/layout/layout";
import { bearsPeening } from "../../../materials/working";
import type { Found } from "../types";
import { found, PRACTICE, type Rule } from "./context";

const peened: Rule = {
  code: "peened-on-soft",
  limit: 0,
  unit: "none",
  source: PRACTICE,
  check: (c) => {
    const { design } = c;
    const rivets = design.fasteners.flatMap((f): Found[] => {
      if (!kindOf(f).peened || !("material" in f)) return [];
      // What its heads bear on: a rivet in steel bolsters is peened on steel, whatever the scales are of.
      const { right, left } = c.pathOf(f.id).ends;
      const soft = [right, left].find((end) => end && !bearsPeening(materialsIn(design)(end.material)));
      if (!soft) return [];
      const { id, xMm, yMm, diameterMm, material } = f;
      const fastener: Fastener = { kind: "pin", id, xMm, yMm, diameterMm, material };
      return [
        found("peened-on-soft", "warning", {
          at: { x: xMm, y: yMm },
          subject: id,
          items: c.namesOf(f.id),
          part: soft.key,
          fix: { kind: "replace-fastener", fastener },
        }),
      ];
    });
    return [...rivets, ...peenedTang(design)];
  },
};

/** A tang peened over anything but metal wants a washer or a butt plate there. */
function peenedTang(design: Design): Found[] {
  const { tang, handle } = design;
  if (tang.kind !== "hidden" || !endKindOf(tang.end).peened || handle.kind !== "stack") return [];
  const last = handle.pieces[handle.pieces.length - 1];
  if (bearsPeening(materialsIn(design)(last.material))) return [];
  const piece = {
    id: "peen-plate",
    role: "butt-plate" as const,
    material: "brass-360",
    lengthMm: 6,
    discMm: null,
    pressedShare: 0,
    tiltDeg: 0,
    shape: null,
    printed: null,
    face: null,
  };
  const index = handle.pieces.length - 1;
  const { pieces: stations, buttX } = layoutOf(design);
  const [to, from] = stations[index];
  const rest = from - to - piece.lengthMm;
  // The plate becomes the last piece, which takes what is left: the one before keeps the rest of its length.
  const fits = last.shape === null && rest > 1 && handle.pieces.every((p) => p.id !== piece.id);
  const trim = { index, lengthMm: roundTo(rest / (1 - last.pressedShare), 2) };
  return [
    found("peened-on-soft", "warning", {
      at: { x: buttX, y: tang.yMm },
      subject: last.id,
      fix: fits ? { kind: "add-piece", at: handle.pieces.length, piece, trim } : null,
    }),
  ];
}

export const PEEN_RULES: readonly Rule[] = [peened];
