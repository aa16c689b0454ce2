"use client";
import { withTang } from "@/core/design/constructions";
import { TANG_WORDS } from "@/words/constructions";
import { ChoiceField } from "../../fields/ChoiceField";
import { useBench, useDesign } from "../BenchContext";
import { FramedTangFields } from "./FramedTangFields";
import { FullTangFields } from "./FullTangFields";
import { Group } from "./Group";
import { HiddenTangFields } from "./HiddenTangFields";

const KINDS = ["full", "hidden", "framed"] as const;

/** The tang: its kind, and what that kind has to say. */
export function TangStep() {
  const { edit, session } = useBench();
  const tang = useDesign((d) => d.tang);
  return (
    <>
      <Group title="Tang">
        <ChoiceField
          label="Kind of tang"
          value={tang.kind}
          choices={KINDS.map((value) => ({ value, name: TANG_WORDS[value] }))}
          help="Changing it keeps outline, guard, pins and the handle's material, and can be undone."
          onChange={(kind) =>
            edit("Change kind of tang", (d) => {
              Object.assign(d, withTang(session.getState().design, kind));
            })
          }
        />
      </Group>
      {tang.kind === "full" && <FullTangFields tang={tang} />}
      {tang.kind === "hidden" && <HiddenTangFields tang={tang} />}
      {tang.kind === "framed" && <FramedTangFields />}
    </>
  );
}
