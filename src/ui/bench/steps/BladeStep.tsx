"use client";
import { tipFrom } from "@/core/design/create";
import { type Blade, type Grind, TIP_STYLES, type TipStyle } from "@/core/design/schema";
import { GRIND_WORDS, TIP_WORDS } from "@/words/nodes";
import { ChoiceField } from "../../fields/ChoiceField";
import { LengthField } from "../../fields/LengthField";
import { FOR_BLADES, MaterialField } from "../../fields/MaterialField";
import { ShareField } from "../../fields/ShareField";
import { useBench } from "../BenchContext";
import { Group } from "./Group";
import { StartFields } from "./StartFields";

type NumberKey = { [K in keyof Blade]: Blade[K] extends number ? K : never }[keyof Blade];

/** The blade's measures, tip and grind. */
export function BladeStep() {
  const { design, edit } = useBench();
  const { blade } = design;
  const length = (key: NumberKey, label: string, min: number, max: number, help?: string) => (
    <LengthField
      label={label}
      mm={blade[key]}
      min={min}
      max={max}
      help={help}
      onChange={(mm) =>
        edit(`Change ${label.toLowerCase()}`, (d) => {
          d.blade[key] = mm;
        })
      }
    />
  );
  return (
    <>
      <StartFields />
      <Group title="Outline">
        {length("lengthMm", "Length", 10, 1200, "From the handle's front to the tip.")}
        {length("heelHeightMm", "Heel height", 3, 200)}
        {length("ricassoMm", "Ricasso length", 0, 400)}
        {length("ricassoHeightMm", "Ricasso height", 2, 200)}
        {length("spineOverAxisMm", "Spine above the axis", -300, 300)}
      </Group>
      <Group title="Tip">
        <ChoiceField
          label="Style"
          value={blade.tip.style}
          choices={TIP_STYLES.map((value) => ({ value, name: TIP_WORDS[value] }))}
          onChange={(style: TipStyle) =>
            edit("Change tip style", (d) => {
              d.blade.tip = tipFrom(style, d.blade.lengthMm);
            })
          }
        />
        <ShareField
          label="Tip height over the edge"
          value={blade.tip.heightShare}
          min={0}
          max={1.5}
          help="As a share of the heel height."
          onChange={(v) =>
            edit("Change tip height", (d) => {
              d.blade.tip.heightShare = v;
            })
          }
        />
        <LengthField
          label="Spine runs out over"
          mm={blade.tip.dropMm}
          min={0}
          max={1000}
          onChange={(mm) =>
            edit("Change spine run", (d) => {
              d.blade.tip.dropMm = mm;
            })
          }
        />
        <LengthField
          label="Belly over"
          mm={blade.tip.bellyMm}
          min={0}
          max={1000}
          onChange={(mm) =>
            edit("Change belly", (d) => {
              d.blade.tip.bellyMm = mm;
            })
          }
        />
      </Group>
      <Group title="Thickness">
        {length("spineMm", "Spine", 0.3, 25)}
        {length("taperFromMm", "Distal taper from", 0, 1200)}
        {length("tipThicknessMm", "Spine at the tip", 0.1, 25)}
        {length("edgeMm", "Edge, before sharpening", 0, 5)}
      </Group>
      <Group title="Grind">
        <GrindFields />
      </Group>
      <Group title="Steel">
        <MaterialField
          label="Blade and tang"
          value={blade.steel}
          classes={FOR_BLADES}
          onChange={(id) =>
            edit("Change steel", (d) => {
              d.blade.steel = id;
            })
          }
        />
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
  const { design, edit } = useBench();
  const { grind, heelHeightMm } = design.blade;
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
      {"heightMm" in grind && (
        <LengthField
          label="Height of the face"
          mm={grind.heightMm}
          min={0.5}
          max={200}
          onChange={(heightMm) => put("Change grind height", { ...grind, heightMm })}
        />
      )}
      {grind.kind === "hollow" && (
        <LengthField
          label="Wheel radius"
          mm={grind.wheelRadiusMm}
          min={5}
          max={2000}
          help="Half the contact wheel's diameter."
          onChange={(wheelRadiusMm) => put("Change wheel", { ...grind, wheelRadiusMm })}
        />
      )}
      {grind.kind === "convex" && (
        <ShareField
          label="Bulge"
          value={grind.bulge}
          min={0}
          max={1}
          help="0 is flat; 100 runs into the flat without a corner."
          onChange={(bulge) => put("Change bulge", { ...grind, bulge })}
        />
      )}
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
