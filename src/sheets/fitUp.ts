import { printMass } from "@/core/base/units/print";
import type { Figure } from "@/core/exchange/paper/item";
import type { Page } from "@/core/exchange/paper/page";
import { holeGroups } from "@/core/figures/fit/holeGroups";
import { cautionsFor } from "@/words/cautions";
import { itemWords } from "@/words/fasteners";
import { BORE_WORDS, MADE_WORDS, openingWords, ownerWords } from "@/words/fit";
import { cutName, partName } from "@/words/parts";
import { holeWords } from "@/words/sheets";
import type { SheetMaker } from "./sheet";

/** Drills, pins, slot, bolts, glue and saw list: one sheet where they find room. */
export function fitUpPages(maker: SheetMaker): Page[] {
  const { design } = maker.source;
  const figures = [
    maker.title("Fit-up card"),
    ...drills(maker),
    ...holes(maker),
    ...pins(maker),
    ...slot(maker),
    ...bolts(maker),
    ...glue(maker),
    ...saw(maker),
    ...wrap(maker),
    ...notes(maker),
    maker.heading("Cautions"),
    ...cautionsFor(design).map((c) => maker.text(`· ${c}`)),
  ];
  return maker.flowed("fit-up", figures, 1.2);
}

/** What depends on how thick the tang is left. */
const AFTER_FLATS = "It follows the tang: measure that after its last flat grinding, and set this by it.";

const ml = (mm3: number) => `${(mm3 / 1000).toFixed(2)} ml`;

function drills(maker: SheetMaker): Figure[] {
  const { bores } = maker.fit;
  if (bores.length === 0) return [];
  return [
    maker.heading("Drill, in this order"),
    ...maker.table(
      [
        { name: "Hole", share: 2 },
        { name: "For", share: 3.4 },
        { name: "Size", share: 1.4, number: true },
        { name: "Drill", share: 1.4, number: true },
      ],
      bores.map((b) => [
        `${BORE_WORDS[b.use]}${b.thread ? ` ${b.thread}` : ""}`,
        ownerWords(b.owners),
        maker.length(b.wantedMm),
        b.drill?.name ?? "none fits",
      ]),
    ),
  ];
}

/** Every hole by the piece that it is in. */
function holes(maker: SheetMaker): Figure[] {
  const groups = holeGroups(maker.source.design, maker.fit.holes);
  if (groups.length === 0) return [];
  return [
    maker.heading("Holes, piece by piece"),
    ...maker.table(
      [
        { name: "Piece", share: 2 },
        { name: "Count", share: 0.7, number: true },
        { name: "Hole", share: 5 },
      ],
      groups.map((g) => [cutName(g.key), String(g.count), holeWords(g.holes, maker.source.units)]),
    ),
  ];
}

function pins(maker: SheetMaker): Figure[] {
  const { pins: places } = maker.fit;
  if (places.length === 0) return [];
  return [
    maker.heading("Pins and bolts"),
    ...maker.table(
      [
        { name: "Which", share: 2.6 },
        { name: "Behind the front", share: 1.6, number: true },
        { name: "Over the axis", share: 1.4, number: true },
        { name: "From the lower edge", share: 1.8, number: true },
        { name: "Cut to", share: 1.4, number: true },
      ],
      places.map((p) => [
        itemWords(p.name),
        maker.length(p.behindMm),
        maker.length(p.aboveAxisMm),
        maker.length(p.fromLowerEdgeMm),
        maker.length(p.blankMm),
      ]),
    ),
    maker.text(AFTER_FLATS),
  ];
}

function slot(maker: SheetMaker): Figure[] {
  const { slot: s } = maker.fit;
  if (!s) return openings(maker);
  const { length } = maker;
  const mill = s.mill
    ? ` Mill it with a ${length(s.mill.cutterMm)} cutter, ${length(s.mill.offsetMm)} to each side, travel ${length(s.mill.travelMm)}.`
    : "";
  const chain = s.chain
    ? ` Or drill ${s.chain.holes} × ${s.chain.drill.name}${s.chain.holes > 1 ? `, ${length(s.chain.pitchMm)} apart` : ""}, then file.`
    : "";
  return [
    maker.heading("Guard slot"),
    maker.text(
      `${length(s.heightMm)} × ${length(s.thicknessMm)}, ${length(s.depthMm)} through.${mill}${chain}`,
    ),
    maker.text(AFTER_FLATS),
    ...openings(maker),
  ];
}

/** What is open in the pieces behind the guard, at their fronts and rears. */
function openings(maker: SheetMaker): Figure[] {
  const all = maker.fit.openings;
  if (all.length === 0) return [];
  return [
    maker.heading("Openings for the tang"),
    ...maker.table(
      [
        { name: "Piece", share: 3 },
        { name: "At its front", share: 2.4, number: true },
        { name: "At its rear", share: 2.4, number: true },
      ],
      all.map((o) => [
        partName(o.key),
        openingWords(o.front, maker.length),
        openingWords(o.rear, maker.length),
      ]),
    ),
  ];
}

function bolts(maker: SheetMaker): Figure[] {
  const { seats } = maker.fit;
  if (seats.length === 0) return [];
  const { length } = maker;
  return [
    maker.heading("Bolts and screws"),
    ...maker.table(
      [
        { name: "Which", share: 2.4 },
        { name: "Counterbore", share: 1.4, number: true },
        { name: "Depth, right · left", share: 2, number: true },
        { name: "Seat to seat", share: 1.4, number: true },
        { name: "Screw", share: 1.2, number: true },
        { name: "Key", share: 1 },
      ],
      seats.map((s) => [
        itemWords(s.name),
        length(s.counterboreMm),
        s.depthFromStockMm.map((d) => length(d)).join(" · "),
        length(s.seatToSeatMm),
        length(s.screwLengthMm),
        s.key ?? "–",
      ]),
    ),
  ];
}

function glue(maker: SheetMaker): Figure[] {
  const { glue: g } = maker.fit;
  if (!(g.netMm3 > 0)) return [];
  const grams = (value: number) => printMass(value, maker.source.units, 2);
  const oily =
    g.oily.length > 0 ? ` Wipe just before gluing (oily): ${g.oily.map(maker.materialName).join(", ")}.` : "";
  const rough =
    g.metals.length > 0
      ? ` Roughen and degrease: ${g.metals.map(maker.materialName).join(", ")}, and the tang.`
      : "";
  return [
    maker.heading("Glue"),
    maker.text(
      `Mix ${ml(g.mixMm3)}: part A ${g.partA.ml.toFixed(2)} ml (${grams(g.partA.g)}), part B ${g.partB.ml.toFixed(2)} ml (${grams(g.partB.g)}). It sets in about ${Math.round(g.potLifeMin)} min; the assembly takes about ${Math.round(g.assemblyMin)}. Grind after ${Math.round(g.cureH)} h.${oily}${rough}`,
    ),
  ];
}

function wrap(maker: SheetMaker): Figure[] {
  const { wrap: w } = maker.fit;
  if (!w) return [];
  return [
    maker.heading("Wind"),
    maker.text(
      `${maker.materialName(w.material)}: ${Math.round(w.turns)} turns, ${maker.length(w.lengthMm, 0)} on the handle; cut ${maker.length(w.buyMm, 0)} with both ends.`,
    ),
  ];
}

/** What its maker wrote down of the knife. */
export function notes(maker: SheetMaker): Figure[] {
  const { notes: said } = maker.source.design;
  return said.trim() ? [maker.heading("Notes"), ...maker.paragraphs(said)] : [];
}

function saw(maker: SheetMaker): Figure[] {
  const { cut, rods } = maker.fit;
  const { length } = maker;
  return [
    maker.heading("Saw, print, cast"),
    ...maker.table(
      [
        { name: "Piece", share: 3 },
        { name: "Material", share: 3 },
        { name: "Count", share: 0.8, number: true },
        { name: "Length × height × thickness, as sawn", share: 3.4, number: true },
      ],
      cut.map((c) => [
        cutName(c.key),
        maker.materialName(c.material),
        String(c.count),
        `${[c.sawnMm.lengthMm, c.sawnMm.heightMm, c.sawnMm.thicknessMm].map((mm) => length(mm, 1)).join(" × ")}${c.made === "sawn" ? "" : `, ${MADE_WORDS[c.made]}`}`,
      ]),
    ),
    ...(rods.length > 0
      ? maker.table(
          [
            { name: "Rod", share: 3 },
            { name: "Diameter", share: 1.4, number: true },
            { name: "Length in all", share: 1.6, number: true },
          ],
          rods.map((r) => [maker.materialName(r.material), length(r.diameterMm), length(r.lengthMm, 1)]),
        )
      : []),
  ];
}
