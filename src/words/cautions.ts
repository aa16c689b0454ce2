import { kindOf } from "@/core/kinds/fasteners/registry";
import { fittingOf } from "@/core/kinds/guardFittings/registry";
import { endKindOf } from "@/core/kinds/tangEnds/registry";
import { piecesOf } from "@/core/knife/design/handleParts";
import type { Design } from "@/core/knife/design/schema";
import type { CautionCode } from "@/core/plan/cautions";

/** What can hurt while a task is done. */
const CAUTION_WORDS: Readonly<Record<CautionCode, string>> = {
  "bare-blade": "A bare blade: cut-resistant gloves or tape; never against the wheel's turn.",
  buffing:
    "A buffing wheel catches an edge and throws the blade: edge down and away, eyes, nobody in its line.",
  burning: "Burning in: fumes and smoke; outdoors, water at hand, and only with a tang that is not hardened.",
  drilling:
    "Drilling: clamp the work on a backing board; a drill that catches spins a blade. Never hold one by hand.",
  dust: "Fine dust: respirator and extraction, eye protection.",
  "edge-cold": "The edge stays in water or wet sand: what turns blue is soft.",
  etchant:
    "Etchants: gloves, goggles, fresh air; neutralise with soda. Salt gives chlorine, stainless leaves chromium in the waste: collect it.",
  filings: "Filings: brush them off, never blow or wipe with the hand.",
  frost: "Dry ice burns and takes the air out of a room: gloves, a window open.",
  glue: "Epoxy: gloves and fresh air; it sensitises.",
  heat: "Hot steel looks like cold steel: tongs, gloves, nothing that burns near.",
  "hot-pins": "Keep pins cool on the grinder: heat lets the glue go and cracks scales.",
  law: "Blade length, double edges, and carrying: laws differ by place; ask before making, selling or carrying.",
  "metal-fumes": "Heating brass, copper or plated metal, also by grinding or soldering: fumes; ventilate.",
  "oily-rags": "Oily rags burn by themselves: laid flat or kept under water.",
  quench: "Quench oil flares; a lid and an extinguisher at hand, never water on burning oil.",
  saw: "Saw: push stick, eyes; small pieces held in a vise or a sled.",
  sharp: "It is sharp from here on: a guard on the blade while it lies about.",
  solvent: "Solvents burn: no flame near, fresh air.",
  splinters: "Hammering: eye protection; steel splinters fly from a hammered edge.",
  weld: "Welding: eye and skin protection, no galvanised or plated metal, fresh air.",
  wheels: "Grinder: eyes, hair and sleeves, no gloves at moving wheels.",
};
export const cautionWords = (code: CautionCode): string => CAUTION_WORDS[code];

/** The usual cautions of the operations that a design asks for, in plain words. */
export function cautionsFor(design: Design): string[] {
  const { tang, handle, guard, fasteners, blade } = design;
  const said = [
    "Tape the blade from the moment it is ground until the handle is finished.",
    "Sanding and grinding: a respirator for fine dust, extraction, eye protection; hair and gloves away from moving wheels.",
    CAUTION_WORDS.drilling,
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
  if (guard || fasteners.length > 0) said.push(CAUTION_WORDS["metal-fumes"]);
  if ((handle.kind === "stack" && handle.rings.length > 0) || fittingOf(guard, "knuckleBow"))
    said.push(
      "Ring and knuckle grips are restricted in many places, and a ring holds the finger when the knife turns: ask before making, selling or carrying.",
    );
  said.push(CAUTION_WORDS.law);
  return said;
}
