"use client";
import { Button, Text } from "@chakra-ui/react";
import { asRehandled, newMeasured } from "@/core/design/starts";
import { isOfBlade } from "@/core/weigh/calibration";
import { ChoiceField } from "../../fields/ChoiceField";
import { useBench, useDesign, useWeighing } from "../BenchContext";
import { Group } from "./Group";
import { MeasuredFields } from "./MeasuredFields";

const STARTS = [
  { value: "drawn", name: "Drawn here" },
  { value: "blade", name: "Blade in the hand, weighed" },
  { value: "knife", name: "Finished knife in the hand, weighed" },
] as const;

/** Where the knife starts: a blade drawn here, one in the hand, a finished knife in the hand, or an old knife. */
export function StartFields() {
  const { edit, session } = useBench();
  const kind = useDesign((d) => d.blade.measured?.of.kind ?? "drawn");
  const full = useDesign((d) => d.tang.kind === "full");
  const weighing = useWeighing();
  return (
    <Group title="Starting point">
      <ChoiceField
        label="The knife is"
        value={kind}
        choices={STARTS}
        wide
        onChange={(to) =>
          edit(STARTS.find((s) => s.value === to)?.name ?? "", (d) => {
            const parts = weighing?.ok ? weighing.report.parts : [];
            const on = to === "blade" ? parts.filter(isOfBlade) : parts;
            const massG = on.reduce((sum, p) => sum + p.massG, 0);
            const moment = on.reduce((sum, p) => sum + p.massG * p.centreMm[0], 0);
            d.blade.measured =
              to === "drawn" ? null : newMeasured(massG || 100, massG > 0 ? moment / massG : 0, to);
          })
        }
      />
      {kind === "drawn" ? (
        <Text color="graphite" fontSize="sm">
          Its weight comes from its shape and its materials.
        </Text>
      ) : (
        <MeasuredFields />
      )}
      {full && (
        <Button
          size="xs"
          variant="outline"
          alignSelf="start"
          onClick={() =>
            edit("Re-handle an old knife", (d) => {
              Object.assign(d, asRehandled(session.getState().design));
            })
          }
        >
          Re-handle: lengthen the tang, fill old holes
        </Button>
      )}
    </Group>
  );
}
