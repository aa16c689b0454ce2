import { flushCheck } from "@/core/cutting/flush";
import { type FaceAt, grindingAids, handleFlats } from "@/core/fit/grinding";
import type { Page } from "@/core/paper/page";
import { datumWords } from "@/words/balance";
import type { SheetMaker } from "./sheet";

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
export function grindingPages(maker: SheetMaker): Page[] {
  const { design } = maker.source;
  const aids = grindingAids(design);
  const flats = handleFlats(design);
  const flush = flushCheck(design);
  const { length } = maker;
  const face = (f: FaceAt | null) => (f ? [length(f.heightMm), `${f.angleDeg.toFixed(2)}°`] : ["–", "–"]);
  const alike = aids.stations.every((s) => s.left && s.right && s.left.heightMm === s.right.heightMm);
  const sides = alike ? (["right"] as const) : (["right", "left"] as const);
  const names = (side: string) => [
    { name: alike ? "Height of the face" : `Face, ${side}`, share: 2, number: true },
    { name: alike ? "Bevel a side" : `Bevel, ${side}`, share: 1.6, number: true },
  ];
  const ground = aids.stations.some((s) => s.left ?? s.right);
  const figures = [
    maker.title("Grinding aids"),
    maker.heading("Blade"),
    ...(ground
      ? [
          maker.text(
            aids.scribedMm.length > 1
              ? `Lay the blade flat and scribe the edge at ${aids.scribedMm.map((s) => length(s)).join(" and ")} over the flat: ${length(aids.edgeMm)} is left between the lines before sharpening.`
              : `Scribe the edge ${length(aids.edgeMm)} from the side that is not ground.`,
          ),
          maker.text(`The ground face begins ${length(aids.plungeMm)} ahead of ${datumWords(design)}.`),
          ...maker.table(
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
          maker.text(
            "The bevel is the angle between the ground face and the blade's middle plane. A grinder's table that stands square to the belt is tilted by as much: 90° less the bevel between table and belt. Of hollow and round faces it is that of the chord.",
          ),
        ]
      : [maker.text("This blade is not ground.")]),
    maker.heading("Handle: flats before it is rounded"),
    ...(flats.length > 0
      ? [
          ...maker.table(
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
          maker.text(
            "Square the handle, cut the corners off at 45° to the first width, then the new edges at 22½° to the second ones, and round what is left.",
          ),
        ]
      : [maker.text("A bare tang has nothing to round.")]),
    ...(flush.length > 0
      ? [
          maker.heading("Guard and handle at their joint"),
          ...maker.table(
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
  return maker.flowed("grinding", figures, 2);
}
