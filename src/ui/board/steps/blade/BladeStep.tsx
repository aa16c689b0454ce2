"use client";
import { Button, Text } from "@chakra-ui/react";
import { Spline } from "lucide-react";
import { TIP_STYLES, type TipStyle } from "@/core/knife/design/schema";
import { LENGTH_CHANGE_WORDS } from "@/words/blade";
import { TIP_WORDS } from "@/words/bladeWords";
import { ChoiceAt, LengthAt, MaterialAt, ShareAt } from "../../../bound/bound";
import { FOR_BLADES } from "../../../bound/MaterialField";
import { ChoiceField } from "../../../fields/ChoiceField";
import { useBench, useDesign } from "../../../session/BenchContext";
import { FaceFields } from "../FaceFields";
import { Group } from "../Group";
import { StartFields } from "../StartFields";
import { BladeAdditions } from "./BladeAdditions";
import { BladeMeasure } from "./BladeMeasure";
import { BladePointTools } from "./BladePointTools";
import { FullerFields } from "./FullerFields";
import { GrindFields } from "./GrindFields";
import { MarkFields } from "./MarkFields";
import { SwedgeFields } from "./SwedgeFields";
import { TaperFields } from "./TaperFields";

/** The blade's outline, thickness, sections, and what is cut into it or stands on it. */
export function BladeStep() {
  const own = useDesign((d) => d.blade.outline !== null);
  return (
    <>
      <StartFields />
      <Group title="Outline">
        <BladeMeasure
          at="lengthMm"
          label="Length"
          help="From the front of the guard, or of the handle, to the tip."
          code="blade-length"
        />
        <ChoiceAt at="blade.lengthChange" names={LENGTH_CHANGE_WORDS} />
        <BladeMeasure
          at="heelHeightMm"
          label={own ? "Greatest height" : "Heel height"}
          help={own ? "Of the whole outline: a new height stretches it." : undefined}
          code="heel-height"
        />
        <LengthAt at="blade.ricassoMm" />
        <LengthAt at="blade.ricassoHeightMm" label={own ? "Height at the shoulder" : "Ricasso height"} />
        <LengthAt at="blade.spineOverAxisMm" />
        <ShareAt at="blade.riseDeg" unit="°" help="Raises each station of the blade: + with the tip up." />
      </Group>
      {own ? <OwnOutline /> : <StyledTip />}
      <TaperFields />
      <GrindFields />
      <SwedgeFields />
      <FullerFields />
      <BladeAdditions />
      <MarkFields />
      <Group title="Flats">
        <FaceFields at="blade.face" label="Flats of the blade" parts={(id) => id === "blade"} />
      </Group>
      <Group title="Steel">
        <MaterialAt at="blade.steel" classes={FOR_BLADES} />
      </Group>
    </>
  );
}

function StyledTip() {
  const { edit } = useBench();
  const style = useDesign((d) => d.blade.tip.style);
  return (
    <Group title="Tip">
      <ChoiceField
        label="Style"
        value={style}
        choices={TIP_STYLES.map((value) => ({ value, name: TIP_WORDS[value] }))}
        onChange={(to: TipStyle) => edit({ code: "tip-style", style: to })}
      />
      <ShareAt at="blade.tip.heightShare" help="As a share of the heel height." />
      <LengthAt at="blade.tip.dropMm" />
      <LengthAt at="blade.tip.bellyMm" />
      <Button size="xs" variant="outline" alignSelf="start" onClick={() => edit({ code: "blade-by-points" })}>
        <Spline /> Draw it by points
      </Button>
      <Text color="graphite" fontSize="sm">
        The style's outline turns into points that can be dragged, added and removed. Undo brings the style
        back.
      </Text>
    </Group>
  );
}

function OwnOutline() {
  const { edit } = useBench();
  return (
    <Group title="Points">
      <LengthAt at="blade.outline.tipYMm" />
      <BladePointTools />
      <ChoiceField
        label="Back to a style"
        value=""
        choices={[
          { value: "", name: "Its own outline" },
          ...TIP_STYLES.map((value) => ({ value, name: TIP_WORDS[value] })),
        ]}
        onChange={(to) => edit({ code: "blade-by-style", style: to === "" ? null : (to as TipStyle) })}
      />
    </Group>
  );
}
