import { glueTimes } from "../figures/fit/glue";
import { kindOf } from "../kinds/fasteners/registry";
import { jointsOf } from "../knife/design/handleParts";
import type { Design } from "../knife/design/schema";
import { type After, after, type Planner, surfaced } from "./planner";
import { TASKS } from "./taskKinds";

const right = { of: { kind: "side", side: "right" } } as const;
const left = { of: { kind: "side", side: "left" } } as const;

/** What stands before any hole of a scale. */
const BEFORE_HOLES: readonly After[] = [
  after("saw-piece", "marked-out-first"),
  after("fit-guard", "guard-before-holes"),
  after("check-guard", "guard-before-holes"),
  after("fit-bolsters", "joints-aligned"),
  after("fit-segments", "joints-aligned"),
];

/** Tang and scales drilled in one pass, in a jig, while the steel is soft. */
export function drillInOnePass(p: Planner): void {
  p.add("drill-one-pass", [
    ...BEFORE_HOLES,
    after("profile", "marked-out-first"),
    after("soften-tang", "soft-steel"),
    after("anneal", "soft-steel"),
    after("weld-tang", "shape-first"),
    after("file-tang", "shape-first"),
    after("drill-tang", "pin-before-next"),
  ]);
  p.add("check-holes", [after("drill-one-pass", "bore-before-fit")]);
}

/** Bolsters and segments fitted to each other: their joints cannot be put right once anything is drilled. */
export function fitAlong(p: Planner, design: Design): void {
  const { handle } = design;
  if (handle.kind !== "scales") return;
  if (handle.bolsters.front || handle.bolsters.rear || handle.halves.length > 0)
    p.add("fit-bolsters", [after("saw-piece", "marked-out-first"), after("fit-guard", "guard-before-holes")]);
  if (jointsOf(handle).length > 0 || handle.lengthwise)
    p.add("fit-segments", [after("saw-piece", "marked-out-first"), after("fit-bolsters", "joints-aligned")]);
}

/** Front faces, holes and seats of the scales; `drilled` where that was done with the tang. */
export function scalesTasks(p: Planner, design: Design, drilled: boolean, throughGlued: boolean): void {
  const { fasteners } = design;
  p.add("front-faces", [
    after("saw-piece", "marked-out-first"),
    after("fit-guard", "guard-before-holes"),
    after("check-guard", "guard-before-holes"),
    after("fit-segments", "joints-aligned"),
  ]);
  p.add("check-faces", [after("front-faces", "faces-unreachable")]);
  if (throughGlued) glueFirst(p, design);
  if (fasteners.length > 0 && !drilled) {
    const tang = [after("check-holes", "pin-before-next"), after("check-straight", "straight-first")];
    const first = p.add(
      "drill-scales",
      [...BEFORE_HOLES, ...tang, after("glue-first", "held-by-glue"), after("carry-indoors", "held-by-glue")],
      right,
    );
    p.add("drill-scales", [...BEFORE_HOLES, ...tang, after({ id: first }, "through-the-first")], left);
  }
  if (fasteners.some((f) => kindOf(f).seat(f) !== null))
    p.add("counterbore", [
      after("drill-scales", "bore-before-fit"),
      after("drill-one-pass", "bore-before-fit"),
      after("front-faces", "seats-from-face"),
    ]);
}

/** One scale is glued on before it is drilled: all of it is tried and cleaned before. */
function glueFirst(p: Planner, design: Design): void {
  const tape = p.add("tape-blade", [...surfaced("blade-taped"), after("inspect-blade", "blade-taped")]);
  const fitted = p.add(
    "dry-fit",
    [
      after("front-faces", "last-chance"),
      after("check-faces", "last-chance"),
      after("check-holes", "last-chance"),
      after("fit-bolsters", "last-chance"),
      after("check-straight", "straight-first"),
      after("check-guard", "last-chance"),
    ],
    right,
  );
  const clean = p.add("degrease", [after({ id: fitted }, "clean-joint")], right);
  const needs = [
    after({ id: fitted }, "last-chance"),
    after({ id: clean }, "clean-joint"),
    after({ id: tape }, "blade-taped"),
    after("front-faces", "faces-unreachable"),
  ];
  const { cureH, potLifeMin, curesIndoors } = glueTimes(design);
  const waitMin = Math.round(cureH * 60);
  const glued = p.add("glue-first", needs, { waitMin: curesIndoors ? 0 : waitMin });
  if (!curesIndoors) return;
  const soon = { maxLagMin: Math.max(0, potLifeMin - TASKS["glue-first"].activeMin) };
  p.add("carry-indoors", [after({ id: glued }, "too-cold", soon)], { ...right, waitMin });
}
