"use client";
import type { ComponentType } from "react";
import type { Design } from "@/core/knife/design/schema";
import { TANG_WORDS } from "@/words/constructions";
import { ChoiceField } from "../../fields/ChoiceField";
import { useBench, useDesign } from "../../session/BenchContext";
import { FramedTangFields } from "./FramedTangFields";
import { FullTangFields } from "./FullTangFields";
import { Group } from "./Group";
import { HiddenTangFields } from "./HiddenTangFields";

type Tang = Design["tang"];

/** What each kind of tang has to say. */
const FIELDS: { readonly [K in Tang["kind"]]: ComponentType<{ tang: Extract<Tang, { kind: K }> }> } = {
  full: FullTangFields,
  hidden: HiddenTangFields,
  framed: FramedTangFields,
};
const KINDS = Object.keys(FIELDS) as Tang["kind"][];

/** The tang: its kind, and what that kind has to say. */
export function TangStep() {
  const { edit } = useBench();
  const tang = useDesign((d) => d.tang);
  const Fields = FIELDS[tang.kind] as ComponentType<{ tang: Tang }>;
  return (
    <>
      <Group title="Tang">
        <ChoiceField
          label="Kind of tang"
          value={tang.kind}
          choices={KINDS.map((value) => ({ value, name: TANG_WORDS[value] }))}
          help="Changing it keeps outline, guard, pins and the handle's material, and can be undone."
          onChange={(kind) => edit({ code: "tang", kind })}
        />
      </Group>
      <Fields tang={tang} />
    </>
  );
}
