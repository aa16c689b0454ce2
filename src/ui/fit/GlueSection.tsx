"use client";
import { printMass } from "@/core/base/units/print";
import type { FitFigures } from "@/core/figures/fit/fitFigures";
import type { GlueJoint } from "@/core/figures/fit/glue";
import type { PartRef } from "@/core/figures/review/partRefs";
import { useUnits } from "@/store/settings";
import { cureWords, JOINT_WORDS } from "@/words/fit";
import { LengthAt, ShareAt, YesAt } from "../bound/bound";
import { useMaterialOf } from "../kit/materials";
import { Fact, Figures, Note, Section } from "../report/Section";
import { PartNote } from "../workshop/PartNote";

const ml = (mm3: number) => `${(mm3 / 1000).toFixed(2)} ml`;

/** What each kind of joint holds together. */
const JOINT_SPOTS: Record<GlueJoint["joint"], readonly PartRef[]> = {
  holes: ["tang"],
  faces: ["scale", "liner"],
  segments: ["divider", "bolster"],
  plates: ["guard"],
  pieces: ["piece"],
  pins: ["fastener"],
};

/** How much adhesive to mix, by volume and by weight, and whether there is time. */
export function GlueSection({ fit }: { fit: FitFigures }) {
  const materialOf = useMaterialOf();
  const units = useUnits();
  const { glue } = fit;
  const names = (ids: readonly string[]) => ids.map((id) => materialOf(id)?.name ?? id).join(", ");
  return (
    <Section id="glue" title="Glue" settings={<GlueSettings />}>
      <Figures
        label="Glue by joint"
        rows={glue.joints}
        keyOf={(j) => j.joint}
        none="Nothing is glued."
        partRefsOf={(j) => JOINT_SPOTS[j.joint]}
        columns={[
          { name: "Joint", of: (j) => JOINT_WORDS[j.joint] },
          { name: "Volume", number: true, of: (j) => ml(j.volumeMm3) },
        ]}
      />
      {glue.netMm3 > 0 && (
        <>
          <Fact name="Mix, with waste">{ml(glue.mixMm3)}</Fact>
          <Fact name="Part A">
            {glue.partA.ml.toFixed(2)} ml · {printMass(glue.partA.g, units, 2)}
          </Fact>
          <Fact name="Part B">
            {glue.partB.ml.toFixed(2)} ml · {printMass(glue.partB.g, units, 2)}
          </Fact>
          <Fact name="Assembly time">
            about {Math.round(glue.assemblyMin)} min for {glue.parts} parts; it sets in{" "}
            {Math.round(glue.potLifeMin)} min at the shop's temperature
          </Fact>
          <Fact name="Before grinding">{cureWords(glue)}</Fact>
        </>
      )}
      {glue.oily.length > 0 && (
        <Note>
          Oily: {names(glue.oily)}. Wipe with solvent just before gluing, until the cloth stays clean;
          solvents and oily rags burn.
        </Note>
      )}
      {glue.metals.length > 0 && <Note>Roughen and degrease: {names(glue.metals)}, and the tang.</Note>}
      <Note>
        Do not clamp a joint dry. Clean squeeze-out before it sets. Epoxy irritates and sensitises: gloves and
        air. A slower one gives time; old epoxy is weaker.
      </Note>
    </Section>
  );
}

function GlueSettings() {
  return (
    <>
      <PartNote part="glue" />
      <ShareAt at="workshop.glue.ratio" unit="" />
      <ShareAt at="workshop.glue.densityA" unit="" />
      <ShareAt at="workshop.glue.densityB" unit="" />
      <LengthAt at="workshop.glue.lineMm" />
      <ShareAt at="workshop.glue.wasteShare" />
      <ShareAt at="workshop.glue.potLifeMin" unit="" />
      <ShareAt at="workshop.glue.cureH" unit="" />
      <ShareAt at="workshop.glue.leastCureH" unit="" />
      <ShareAt at="workshop.glue.atC" unit="" />
      <ShareAt at="workshop.glue.minutesAPart" unit="" />
      <PartNote part="shopC" />
      <ShareAt at="workshop.shopC" unit="" />
      <YesAt at="fitUp.screwedToo" />
    </>
  );
}
