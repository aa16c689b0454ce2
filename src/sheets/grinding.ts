import { flushCheck } from "@/core/exchange/cutting/flush";
import type { Figure } from "@/core/exchange/paper/item";
import type { Page } from "@/core/exchange/paper/page";
import {
  type FaceAt,
  grindingAids,
  grindStages,
  handleFlats,
  hollowTools,
  thicknessTable,
} from "@/core/figures/fit/grinding";
import { grooveHalf, runOutMm } from "@/core/geometry/solids/groundBlade";
import { datumWords } from "@/words/balance";
import { HOLLOW_WORDS, hollowToolWords } from "@/words/grinding";
import type { PageBuilder } from "./pageBuilder";

const DIRECTION_WORDS: Readonly<Record<number, string>> = {
  90: "spine",
  45: "upper right",
  0: "right side",
  [-45]: "lower right",
  [-90]: "edge",
  [-135]: "lower left",
  180: "left side",
  135: "upper left",
};

/** What to scribe and set before grinding, flats to cut before rounding, and guard and handle compared. */
export function grindingPages(builder: PageBuilder): Page[] {
  const { design } = builder.source;
  const aids = grindingAids(design);
  const flats = handleFlats(design);
  const flush = flushCheck(design);
  const { length } = builder;
  const face = (f: FaceAt | null) => (f ? [length(f.heightMm), `${f.angleDeg.toFixed(2)}°`] : ["–", "–"]);
  const alike = aids.stations.every((s) => s.left && s.right && s.left.heightMm === s.right.heightMm);
  const sides = alike ? (["right"] as const) : (["right", "left"] as const);
  const names = (side: string) => [
    { name: alike ? "Height of the face" : `Face, ${side}`, share: 2, number: true },
    { name: alike ? "Bevel a side" : `Bevel, ${side}`, share: 1.6, number: true },
  ];
  const ground = aids.stations.some((s) => s.left ?? s.right);
  const figures = [
    builder.title("Blade and grinding"),
    builder.heading("Blade"),
    ...(ground
      ? [
          builder.text(
            aids.scribedMm.length > 1
              ? `Lay the blade flat and scribe the edge at ${aids.scribedMm.map((s) => length(s)).join(" and ")} over the flat: ${length(aids.edgeMm)} is left between the lines before sharpening.`
              : `Scribe the edge ${length(aids.edgeMm)} from the side that is not ground.`,
          ),
          builder.text(`The ground face begins ${length(aids.plungeMm)} ahead of ${datumWords(design)}.`),
          ...builder.table(
            [
              { name: "Ahead of the front", share: 2, number: true },
              { name: "Thickness at the spine", share: 2, number: true },
              ...sides.flatMap(names),
            ],
            aids.stations.map((s) => [
              length(s.xMm, 1),
              length(s.thicknessMm),
              ...sides.flatMap((side) => face(s[side])),
            ]),
          ),
          builder.text(
            "The bevel is the angle between the ground face and the blade's middle plane. A grinder's table that stands square to the belt is tilted by as much: 90° less the bevel between table and belt. Of hollow and round faces it is that of the chord.",
          ),
        ]
      : [builder.text("This blade is not ground.")]),
    ...(ground ? stages(builder) : []),
    ...features(builder),
    ...hollows(builder),
    builder.heading("Handle: flats before it is rounded"),
    ...(flats.length > 0
      ? [
          ...builder.table(
            [
              { name: "Behind the front", share: 1.6, number: true },
              { name: "Side", share: 1 },
              { name: "Squared to, height", share: 1.7, number: true },
              { name: "from the middle", share: 1.5, number: true },
              { name: "First flats, 45°", share: 1.5, number: true },
              { name: "Second, side", share: 1.4, number: true },
              { name: "Second, back", share: 1.4, number: true },
            ],
            flats.map((f) => [
              length(f.behindMm, 1),
              flats.some((o) => o.side === "left") ? f.side : "both",
              length(f.heightMm, 1),
              length(f.halfMm, 1),
              length(f.firstMm, 1),
              length(f.secondMm[0], 1),
              length(f.secondMm[1], 1),
            ]),
          ),
          builder.text(
            "Square the handle, cut the corners off at 45° to the first width, then the new edges at 22½° to the second ones, and round what is left.",
          ),
        ]
      : [builder.text("A bare tang has nothing to round.")]),
    ...(flush.length > 0
      ? [
          builder.heading("Guard and handle at their joint"),
          ...builder.table(
            [
              { name: "Toward", share: 1.5 },
              { name: "Guard reaches", share: 1.5, number: true },
              { name: "Handle reaches", share: 1.5, number: true },
              { name: "Guard stands out", share: 1.5, number: true },
              { name: "", share: 2 },
            ],
            flush.map((f) => [
              DIRECTION_WORDS[f.deg],
              length(f.guardMm),
              length(f.handleMm),
              length(f.stepMm),
              Math.abs(f.stepMm) < 0.1 ? "flush" : f.stepMm < 0 ? "the handle stands over the guard" : "",
            ]),
          ),
        ]
      : []),
  ];
  return builder.flowed("grinding", figures, 2);
}

/** The grind line before hardening and after, and thicknesses to measure. */
function stages(builder: PageBuilder): Figure[] {
  const { design } = builder.source;
  const { length } = builder;
  const { softEdgeMm, flatsMm } = design.fitUp.grinding;
  const all = grindStages(design);
  const alike = all.every((s) =>
    all.some((o) => o.xMm === s.xMm && o.side !== s.side && o.softMm === s.softMm),
  );
  const shown = alike ? all.filter((s) => s.side === "right") : all;
  const table = thicknessTable(design);
  const heights = [...new Set(table.flatMap((t) => t.at.map((a) => a.heightMm)))].sort((a, b) => a - b);
  return [
    builder.heading("Before hardening, and after"),
    builder.text(
      `Before hardening leave ${length(softEdgeMm)} at the edge; finished it is ${length(design.blade.edgeMm)}. With the angle kept, the line of the soft grind stands below the finished one. Flats ground by ${length(flatsMm)} a side afterwards lower it again: grind them first.`,
    ),
    ...builder.table(
      [
        { name: "Ahead of the front", share: 1.6, number: true },
        ...(alike ? [] : [{ name: "Side", share: 1 }]),
        { name: "Bevel", share: 1, number: true },
        { name: "Line before", share: 1.5, number: true },
        { name: "Line after", share: 1.5, number: true },
        { name: "After the flats", share: 1.5, number: true },
      ],
      shown.map((s) => [
        length(s.xMm, 1),
        ...(alike ? [] : [s.side]),
        `${s.angleDeg.toFixed(2)}°`,
        length(s.softMm, 1),
        length(s.finishedMm, 1),
        length(s.flattedMm, 1),
      ]),
    ),
    builder.heading("Thickness to measure, before → after"),
    ...builder.table(
      [
        { name: "Ahead", share: 1.2, number: true },
        ...heights.map((h) => ({ name: `${length(h, 0)} up`, share: 1.5, number: true })),
      ],
      table.map((t) => [
        length(t.xMm, 1),
        ...heights.map((h) => {
          const at = t.at.find((a) => a.heightMm === h);
          return at ? `${builder.bare(at.softMm)} → ${builder.bare(at.finishedMm)}` : "–";
        }),
      ]),
    ),
    builder.text(
      "Slot, insert and pin lengths follow the tang: measure it after its last flat grinding, and set them by that.",
    ),
  ];
}

/** False edge, fullers, notches, ramp and plunge: where, how wide, how deep, with what. */
function features(builder: PageBuilder): Figure[] {
  const { blade } = builder.source.design;
  const { length } = builder;
  const rows: string[][] = [];
  const { swedge, fullers, notches, ramp, plunge } = blade;
  if (blade.ricassoMm > 0)
    rows.push([
      "Plunge",
      `${length(blade.ricassoMm)} ahead of ${datumWords(builder.source.design)}`,
      `${plunge.sweepDeg === 0 ? "square to the blade" : `leans ${plunge.sweepDeg.toFixed(1)}°`}, radius ${length(plunge.radiusMm)}`,
    ]);
  if (swedge)
    rows.push([
      "False edge",
      `from the tip back ${length(swedge.lengthMm)}, growing over ${length(swedge.runOutMm)}`,
      `${length(swedge.heightMm)} high, leaves ${length(swedge.leavesMm)} at the spine, ${SIDES_WORDS[swedge.sides]}`,
    ]);
  fullers.forEach((f, i) => {
    const tool = f.tool.kind === "ball" ? "ball" : "wheel";
    rows.push([
      fullers.length > 1 ? `Fuller ${i + 1}` : "Fuller",
      `${length(f.fromMm)} to ${length(f.toMm)}, its middle ${length(Math.abs(f.downMm))} ${f.from === "spine" ? "under the spine" : "off the middle"}`,
      `${length(2 * grooveHalf(f.radiusMm, f.depthMm))} wide, ${length(f.depthMm)} deep, ${tool} of radius ${length(f.radiusMm)}, runs out over ${length(runOutMm(f))}, ${SIDES_WORDS[f.sides]}`,
    ]);
  });
  for (const n of notches)
    rows.push([
      n.purpose === "finger" ? "Finger notch" : "Sharpening notch",
      `${length(n.xMm)} ahead`,
      `radius ${length(n.radiusMm)}, ${length(n.depthMm)} deep`,
    ]);
  if (ramp)
    rows.push([
      "Thumb ramp",
      `from ${length(ramp.fromMm)}, ${length(ramp.lengthMm)} long`,
      `${length(ramp.riseMm)} high`,
    ]);
  if (rows.length === 0) return [];
  const columns = [
    { name: "What", share: 1.4 },
    { name: "Where", share: 3.4 },
    { name: "How", share: 4.6 },
  ];
  return [builder.heading("What else is cut into the blade"), ...builder.table(columns, rows)];
}

const SIDES_WORDS = { both: "both sides", right: "right side", left: "left side" } as const;

/** The tool for each concave stretch: the largest that is there and fits it. */
function hollows(builder: PageBuilder): Figure[] {
  const all = hollowTools(builder.source.design);
  if (all.length === 0) return [];
  const { length } = builder;
  return [
    builder.heading("Hollows, and the largest tool that fits"),
    ...builder.table(
      [
        { name: "What", share: 3 },
        { name: "Where", share: 2.4, number: true },
        { name: "Tightest radius", share: 2, number: true },
        { name: "Tool", share: 3 },
      ],
      all.map((h) => [
        HOLLOW_WORDS[h.of],
        `${length(Math.abs(h.xMm), 1)} ${h.xMm < 0 ? "behind" : "ahead"}`,
        length(h.radiusMm, 1),
        hollowToolWords(h.tool, (mm) => length(mm, 0)),
      ]),
    ),
  ];
}
