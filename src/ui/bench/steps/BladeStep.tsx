"use client";
import { tipFrom } from "@/core/design/create";
import { type Grind, TIP_STYLES, type TipStyle } from "@/core/design/schema";
import { GRIND_WORDS, TIP_WORDS } from "@/words/nodes";
import { LengthAt, MaterialAt, ShareAt } from "../../fields/bound";
import { ChoiceField } from "../../fields/ChoiceField";
import { FOR_BLADES } from "../../fields/MaterialField";
import { useBench, useDesign } from "../BenchContext";
import { Group } from "./Group";
import { StartFields } from "./StartFields";

/** The blade's measures, tip and grind. */
export function BladeStep() {
  const { edit } = useBench();
  const style = useDesign((d) => d.blade.tip.style);
  return (
    <>
      <StartFields />
      <Group title="Outline">
        <LengthAt
          at="blade.lengthMm"
          label="Length"
          help="From the front of the guard, or of the handle, to the tip."
        />
        <LengthAt at="blade.heelHeightMm" label="Heel height" />
        <LengthAt at="blade.ricassoMm" label="Ricasso length" />
        <LengthAt at="blade.ricassoHeightMm" label="Ricasso height" />
        <LengthAt at="blade.spineOverAxisMm" label="Spine above the axis" />
      </Group>
      <Group title="Tip">
        <ChoiceField
          label="Style"
          value={style}
          choices={TIP_STYLES.map((value) => ({ value, name: TIP_WORDS[value] }))}
          onChange={(to: TipStyle) =>
            edit("Change tip style", (d) => {
              d.blade.tip = tipFrom(to, d.blade.lengthMm);
            })
          }
        />
        <ShareAt
          at="blade.tip.heightShare"
          label="Tip height over the edge"
          help="As a share of the heel height."
        />
        <LengthAt at="blade.tip.dropMm" label="Spine runs out over" />
        <LengthAt at="blade.tip.bellyMm" label="Belly over" />
      </Group>
      <Group title="Thickness">
        <LengthAt at="blade.spineMm" label="Spine" />
        <LengthAt at="blade.taperFromMm" label="Distal taper from" />
        <LengthAt at="blade.tipThicknessMm" label="Spine at the tip" />
        <LengthAt at="blade.edgeMm" label="Edge, before sharpening" />
      </Group>
      <Group title="Grind">
        <GrindFields />
      </Group>
      <Group title="Steel">
        <MaterialAt at="blade.steel" label="Blade and tang" classes={FOR_BLADES} />
      </Group>
    </>
  );
}

/** The grind that a kind begins with, keeping the face's height from the one before. */
function grindOf(kind: Grind["kind"], before: Grind, heelMm: number): Grind {
  const heightMm = "heightMm" in before ? before.heightMm : Math.round(heelMm * 0.65);
  switch (kind) {
    case "full-flat":
      return { kind };
    case "partial-flat":
      return { kind, heightMm };
    case "hollow":
      return { kind, heightMm, wheelRadiusMm: 101.6 };
    case "convex":
      return { kind, heightMm, bulge: 0.5 };
    case "single-bevel":
      return { kind, heightMm, side: "right" };
  }
}

function GrindFields() {
  const { edit } = useBench();
  const { grind, heelHeightMm } = useDesign((d) => ({
    grind: d.blade.grind,
    heelHeightMm: d.blade.heelHeightMm,
  }));
  const put = (label: string, next: Grind) =>
    edit(label, (d) => {
      d.blade.grind = next;
    });
  return (
    <>
      <ChoiceField
        label="Kind"
        value={grind.kind}
        choices={(Object.keys(GRIND_WORDS) as Grind["kind"][]).map((value) => ({
          value,
          name: GRIND_WORDS[value],
        }))}
        onChange={(kind) => put("Change grind", grindOf(kind, grind, heelHeightMm))}
      />
      <LengthAt at="blade.grind.heightMm" label="Height of the face" />
      <LengthAt
        at="blade.grind.wheelRadiusMm"
        label="Wheel radius"
        help="Half the contact wheel's diameter."
      />
      <ShareAt
        at="blade.grind.bulge"
        label="Bulge"
        help="0 is flat; 100 runs into the flat without a corner."
      />
      {grind.kind === "single-bevel" && (
        <ChoiceField
          label="Ground side"
          value={grind.side}
          choices={[
            { value: "right", name: "Right" },
            { value: "left", name: "Left" },
          ]}
          onChange={(side) => put("Change ground side", { ...grind, side })}
        />
      )}
    </>
  );
}
