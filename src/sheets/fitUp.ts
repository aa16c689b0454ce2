import { printMass } from "@/core/base/units/print";
import type { Figure } from "@/core/exchange/paper/item";
import type { Page } from "@/core/exchange/paper/page";
import { holeGroups } from "@/core/figures/fit/holeGroups";
import { cautionsFor } from "@/words/cautions";
import { itemWords } from "@/words/fasteners";
import { BORE_WORDS, cureWords, MADE_WORDS, openingWords, ownerWords } from "@/words/fit";
import { cutName, partName } from "@/words/parts";
import { holeWords } from "@/words/sheets";
import type { PageBuilder } from "./pageBuilder";

/** Drills, pins, slot, bolts, glue and saw list: one sheet where they find room. */
export function fitUpPages(builder: PageBuilder): Page[] {
  const { design } = builder.source;
  const figures = [
    builder.title("Fit-up card"),
    ...drills(builder),
    ...holes(builder),
    ...pins(builder),
    ...slot(builder),
    ...bolts(builder),
    ...glue(builder),
    ...saw(builder),
    ...windings(builder),
    ...notes(builder),
    builder.heading("Cautions"),
    ...cautionsFor(design).map((c) => builder.text(`· ${c}`)),
  ];
  return builder.flowed("fit-up", figures, 1.2);
}

/** What depends on how thick the tang is left. */
const AFTER_FLATS = "It follows the tang: measure that after its last flat grinding, and set this by it.";

const ml = (mm3: number) => `${(mm3 / 1000).toFixed(2)} ml`;

function drills(builder: PageBuilder): Figure[] {
  const { bores } = builder.fit;
  if (bores.length === 0) return [];
  return [
    builder.heading("Drill, in this order"),
    ...builder.table(
      [
        { name: "Hole", share: 2 },
        { name: "For", share: 3.4 },
        { name: "Size", share: 1.4, number: true },
        { name: "Drill", share: 1.4, number: true },
      ],
      bores.map((b) => [
        `${BORE_WORDS[b.use]}${b.thread ? ` ${b.thread}` : ""}`,
        ownerWords(b.owners),
        builder.length(b.wantedMm),
        b.drill?.name ?? "none fits",
      ]),
    ),
  ];
}

/** Every hole by the piece that it is in. */
function holes(builder: PageBuilder): Figure[] {
  const groups = holeGroups(builder.source.design, builder.fit.holes);
  if (groups.length === 0) return [];
  return [
    builder.heading("Holes, piece by piece"),
    ...builder.table(
      [
        { name: "Piece", share: 2 },
        { name: "Count", share: 0.7, number: true },
        { name: "Hole", share: 5 },
      ],
      groups.map((g) => [cutName(g.key), String(g.count), holeWords(g.holes, builder.source.units)]),
    ),
  ];
}

function pins(builder: PageBuilder): Figure[] {
  const { pins: places } = builder.fit;
  if (places.length === 0) return [];
  return [
    builder.heading("Pins and bolts"),
    ...builder.table(
      [
        { name: "Which", share: 2.6 },
        { name: "Behind the front", share: 1.6, number: true },
        { name: "Over the axis", share: 1.4, number: true },
        { name: "From the lower edge", share: 1.8, number: true },
        { name: "Cut to", share: 1.4, number: true },
      ],
      places.map((p) => [
        itemWords(p.name),
        builder.length(p.behindMm),
        builder.length(p.aboveAxisMm),
        builder.length(p.fromLowerEdgeMm),
        builder.length(p.blankMm),
      ]),
    ),
    builder.text(AFTER_FLATS),
  ];
}

function slot(builder: PageBuilder): Figure[] {
  const { slot: s } = builder.fit;
  if (!s) return openings(builder);
  const { length } = builder;
  const mill = s.mill
    ? ` Mill it with a ${length(s.mill.cutterMm)} cutter, ${length(s.mill.offsetMm)} to each side, travel ${length(s.mill.travelMm)}.`
    : "";
  const chain = s.chain
    ? ` Or drill ${s.chain.holes} × ${s.chain.drill.name}${s.chain.holes > 1 ? `, ${length(s.chain.pitchMm)} apart` : ""}, then file.`
    : "";
  return [
    builder.heading("Guard slot"),
    builder.text(
      `${length(s.heightMm)} × ${length(s.thicknessMm)}, ${length(s.depthMm)} through.${mill}${chain}`,
    ),
    builder.text(AFTER_FLATS),
    ...openings(builder),
  ];
}

/** What is open in the pieces behind the guard, at their fronts and rears. */
function openings(builder: PageBuilder): Figure[] {
  const all = builder.fit.openings;
  if (all.length === 0) return [];
  return [
    builder.heading("Openings for the tang"),
    ...builder.table(
      [
        { name: "Piece", share: 3 },
        { name: "At its front", share: 2.4, number: true },
        { name: "At its rear", share: 2.4, number: true },
      ],
      all.map((o) => [
        partName(o.key),
        openingWords(o.front, builder.length),
        openingWords(o.rear, builder.length),
      ]),
    ),
  ];
}

function bolts(builder: PageBuilder): Figure[] {
  const { seats } = builder.fit;
  if (seats.length === 0) return [];
  const { length } = builder;
  return [
    builder.heading("Bolts and screws"),
    ...builder.table(
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

function glue(builder: PageBuilder): Figure[] {
  const { glue: g } = builder.fit;
  if (!(g.netMm3 > 0)) return [];
  const grams = (value: number) => printMass(value, builder.source.units, 2);
  const oily =
    g.oily.length > 0
      ? ` Wipe just before gluing (oily): ${g.oily.map(builder.materialName).join(", ")}.`
      : "";
  const rough =
    g.metals.length > 0
      ? ` Roughen and degrease: ${g.metals.map(builder.materialName).join(", ")}, and the tang.`
      : "";
  return [
    builder.heading("Glue"),
    builder.text(
      `Mix ${ml(g.mixMm3)}: part A ${g.partA.ml.toFixed(2)} ml (${grams(g.partA.g)}), part B ${g.partB.ml.toFixed(2)} ml (${grams(g.partB.g)}). It sets in about ${Math.round(g.potLifeMin)} min; the assembly takes about ${Math.round(g.assemblyMin)}. Grind after ${cureWords(g)}.${oily}${rough}`,
    ),
  ];
}

function windings(builder: PageBuilder): Figure[] {
  const { wraps } = builder.fit;
  if (wraps.length === 0) return [];
  return [
    builder.heading("Wind"),
    ...wraps.map((w) =>
      builder.text(
        `${builder.materialName(w.material)}: ${Math.round(w.turns)} turns, ${builder.length(w.lengthMm, 0)} on the handle; cut ${builder.length(w.buyMm, 0)} with both ends.`,
      ),
    ),
  ];
}

/** What its maker wrote down of the knife. */
export function notes(builder: PageBuilder): Figure[] {
  const { notes: said } = builder.source.design;
  return said.trim() ? [builder.heading("Notes"), ...builder.paragraphs(said)] : [];
}

function saw(builder: PageBuilder): Figure[] {
  const { cut, rods } = builder.fit;
  const { length } = builder;
  return [
    builder.heading("Saw, print, cast"),
    ...builder.table(
      [
        { name: "Piece", share: 3 },
        { name: "Material", share: 3 },
        { name: "Count", share: 0.8, number: true },
        { name: "Length × height × thickness, as sawn", share: 3.4, number: true },
      ],
      cut.map((c) => [
        cutName(c.key),
        builder.materialName(c.material),
        String(c.count),
        `${[c.sawnMm.lengthMm, c.sawnMm.heightMm, c.sawnMm.thicknessMm].map((mm) => length(mm, 1)).join(" × ")}${c.made === "sawn" ? "" : `, ${MADE_WORDS[c.made]}`}`,
      ]),
    ),
    ...(rods.length > 0
      ? builder.table(
          [
            { name: "Rod", share: 3 },
            { name: "Diameter", share: 1.4, number: true },
            { name: "Length in all", share: 1.6, number: true },
          ],
          rods.map((r) => [builder.materialName(r.material), length(r.diameterMm), length(r.lengthMm, 1)]),
        )
      : []),
  ];
}
