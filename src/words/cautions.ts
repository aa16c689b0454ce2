import { kindOf } from "@/core/kinds/fasteners/registry";
import { fittingOf } from "@/core/kinds/guardFittings/registry";
import { endKindOf } from "@/core/kinds/tangEnds/registry";
import { piecesOf } from "@/core/knife/design/handleParts";
import type { Design } from "@/core/knife/design/schema";

/** The usual cautions of the operations that a design asks for, in plain words. */
export function cautionsFor(design: Design): string[] {
  const { tang, handle, guard, fasteners, blade } = design;
  const said = [
    "Tape the blade from the moment it is ground until the handle is finished.",
    "Sanding and grinding: a respirator for fine dust, extraction, eye protection; hair and gloves away from moving wheels.",
    "Drilling: clamp the work on a backing board; a drill that catches spins a blade. Never hold one by hand.",
    "Epoxy: gloves and fresh air; it sensitises. Keep pins cool on the grinder: heat lets the glue go and cracks scales.",
    "Solvents and oily rags burn: no flame near, rags laid flat or kept under water.",
  ];
  const welded =
    tang.kind === "full" &&
    (tang.short?.behind === "weld" || tang.holes.some((h) => h.purpose === "old-pin"));
  const hard =
    blade.measured !== null || (tang.kind === "full" && tang.holes.some((h) => h.purpose === "old-pin"));
  if (welded)
    said.push(
      hard
        ? "This blade is hard already: a weld near it draws its temper. Plug an old hole with a glued or soldered pin, or have it welded in short tacks, cooled between, the blade wrapped wet and its edge kept cold. The steel round a weld is soft afterwards: keep that zone to the tang, well away from the edge."
        : "Weld before hardening, in short tacks; eye and skin protection, no galvanised or plated metal. Welded after it, the steel round the seam is soft: never near the edge.",
    );
  if (!blade.measured && !hard)
    said.push("Hardening: quench oil flares; a lid and an extinguisher at hand, never water on burning oil.");
  if (tang.kind === "hidden" && tang.hole.kind === "burned")
    said.push(
      "Burning a tang in: fumes and smoke; outdoors, water at hand, and only with a tang that is not hardened.",
    );
  if (fasteners.some((f) => f.kind === "patterned-pin"))
    said.push(
      "A patterned pin with a picture has an up, and shows it mirrored on the far side: mark it, and turn it before the glue sets.",
    );
  const grown = [
    ...(handle.kind === "scales" ? [handle.right.face, handle.left.face] : []),
    ...piecesOf(handle).map((piece) => piece.face),
  ].some((face) => face && "meanLossMm" in face);
  if (grown)
    said.push(
      "A face as it grew, or jigged, rocks on a drill table: drill each scale with its flat side down, and dress pins and heads to the face by hand.",
    );
  if (fittingOf(guard, "cheeks"))
    said.push(
      "A guard of sheets: weld it before it is fitted to the blade, never on it; grind paint and plating off first, eye and skin protection, fresh air.",
    );
  if ((tang.kind === "hidden" && endKindOf(tang.end).peened) || fasteners.some((f) => kindOf(f).peened))
    said.push("Peening: eye protection; steel splinters fly from a hammered edge.");
  if (guard || fasteners.length > 0)
    said.push("Heating brass, copper or plated metal, also by grinding or soldering: fumes; ventilate.");
  if ((handle.kind === "stack" && handle.rings.length > 0) || fittingOf(guard, "knuckleBow"))
    said.push(
      "Ring and knuckle grips are restricted in many places, and a ring holds the finger when the knife turns: ask before making, selling or carrying.",
    );
  said.push(
    "Blade length, double edges, and carrying: laws differ by place; ask before making, selling or carrying.",
  );
  return said;
}
