"use client";
import { roundTo } from "@/core/base/number";
import { grindingAids } from "@/core/figures/fit/grinding";
import { SIDE_GRINDS } from "@/core/knife/design/bladeStarts";
import type { Design, Grind, SideGrind } from "@/core/knife/design/schema";
import { GRIND_WORDS } from "@/words/bladeWords";
import { LengthAt, ShareAt } from "../../../bound/bound";
import { ChoiceField } from "../../../fields/ChoiceField";
import { Tick } from "../../../fields/Tick";
import { useBench, useDesign } from "../../../session/BenchContext";
import { Group } from "../Group";
import { HeightsAlong } from "./HeightsAlong";

/** How the blade is ground: both sides alike or each its own, where the faces begin, and whether it is sharpened. */
export function GrindFields() {
  const { edit } = useBench();
  const { grind, left } = useDesign(({ blade }) => ({ grind: blade.grind, left: blade.leftGrind }));
  const single = grind.kind === "single-bevel";
  const kinds = Object.keys(GRIND_WORDS) as Grind["kind"][];
  return (
    <Group title="Grind">
      <ChoiceField
        label={left ? "Right side" : "Kind"}
        value={grind.kind}
        choices={kinds.map((value) => ({ value, name: GRIND_WORDS[value] }))}
        onChange={(kind) => edit({ code: "grind", kind })}
      />
      <GrindMeasures at="blade.grind" grind={grind} />
      {single && (
        <ChoiceField
          label="Ground side"
          value={grind.side}
          choices={[
            { value: "right", name: "Right" },
            { value: "left", name: "Left" },
          ]}
          onChange={(side) => edit({ code: "set", path: "blade.grind.side", to: side })}
        />
      )}
      {!single && (
        <Tick
          label="Left side ground differently"
          checked={left !== null}
          onChange={(apart) => edit({ code: "left-ground-apart", apart })}
        />
      )}
      {left && !single && (
        <>
          <ChoiceField
            label="Left side"
            value={left.kind}
            choices={SIDE_GRINDS.map((value) => ({ value, name: GRIND_WORDS[value] }))}
            onChange={(kind: SideGrind["kind"]) => edit({ code: "left-grind", kind })}
          />
          <GrindMeasures at="blade.leftGrind" grind={left} />
        </>
      )}
      <ShareAt
        at="blade.plunge.sweepDeg"
        unit="°"
        help="0 is square to the blade; + leans to the tip on its way up."
      />
      <LengthAt at="blade.plunge.radiusMm" help="Of the belt's edge or the wheel; 0 is a sharp step." />
      <Sharpened />
    </Group>
  );
}

function GrindMeasures({ at, grind }: { at: "blade.grind" | "blade.leftGrind"; grind: Grind }) {
  const along = "along" in grind && grind.along.length > 0;
  const kept = "along" in grind && grind.angleDeg !== null;
  return (
    <>
      {"along" in grind && <AngleKept at={at} kept={kept} />}
      {!along && !kept && <LengthAt at={`${at}.heightMm`} />}
      <ShareAt at={`${at}.ridgeShare`} help="As a share of the blade's height." />
      <LengthAt at={`${at}.wheelRadiusMm`} help="Half the contact wheel's diameter." />
      <ShareAt at={`${at}.bulge`} help="0 is flat; 100 runs into the flat without a corner." />
      {"along" in grind && !kept && <HeightsAlong at={at} points={grind.along} />}
    </>
  );
}

/** Whether the bevel keeps one angle, as on a fixed rest, and its height follows; else its heights are given. */
function AngleKept({ at, kept }: { at: "blade.grind" | "blade.leftGrind"; kept: boolean }) {
  const { edit, session } = useBench();
  return (
    <>
      <Tick
        label="One angle for the whole bevel"
        checked={kept}
        onChange={(on) =>
          edit({
            code: "set",
            path: `${at}.angleDeg`,
            to: on ? bevelAngle(session.getState().design) : null,
          })
        }
      />
      {kept && (
        <ShareAt
          at={`${at}.angleDeg`}
          unit="°"
          help="As on a fixed rest: the face is as high as the thickness makes it, lower where the blade tapers."
        />
      )}
    </>
  );
}

/** The angle that the bevel has behind, to a tenth of a degree. */
function bevelAngle(design: Design): number {
  const [first] = grindingAids(design).stations;
  const angle = (first?.right ?? first?.left)?.angleDeg ?? 5;
  return Math.min(45, Math.max(0.5, roundTo(angle, 1)));
}

/** Whether the edge is sharpened, and at what angle a side. */
function Sharpened() {
  const { edit } = useBench();
  const sharpened = useDesign((d) => d.blade.sharpenedDeg !== null);
  return (
    <>
      <LengthAt at="blade.edgeMm" />
      <Tick
        label="Sharpened"
        checked={sharpened}
        onChange={(on) => edit({ code: "set", path: "blade.sharpenedDeg", to: on ? 20 : null })}
      />
      {sharpened && <ShareAt at="blade.sharpenedDeg" unit="°" />}
    </>
  );
}
