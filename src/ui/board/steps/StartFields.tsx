"use client";
import { Button, Text } from "@chakra-ui/react";
import { isOfBlade } from "@/core/figures/weigh/calibration";
import { START_WORDS } from "@/words/measured";
import { ChoiceField } from "../../fields/ChoiceField";
import { useBench, useDesign, useWeighing } from "../../session/BenchContext";
import { Group } from "./Group";
import { MeasuredFields } from "./MeasuredFields";

const STARTS = (Object.keys(START_WORDS) as (keyof typeof START_WORDS)[]).map((value) => ({
  value,
  name: START_WORDS[value],
}));

/** Of a knife that cannot be weighed as it is drawn. */
const USUAL_G = 100;

/** Where the knife starts: a blade drawn here, one in the hand, a finished knife in the hand, or an old knife. */
export function StartFields() {
  const { edit } = useBench();
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
        onChange={(from) => {
          const parts = weighing?.ok ? weighing.report.parts : [];
          const on = from === "blade" ? parts.filter(isOfBlade) : parts;
          const massG = on.reduce((sum, p) => sum + p.massG, 0);
          const moment = on.reduce((sum, p) => sum + p.massG * p.centreMm[0], 0);
          const balanceMm = massG > 0 ? moment / massG : 0;
          edit({ code: "start-from", from, massG: massG || USUAL_G, balanceMm });
        }}
      />
      {kind === "drawn" ? (
        <Text color="graphite" fontSize="sm">
          Its weight comes from its shape and its materials.
        </Text>
      ) : (
        <MeasuredFields />
      )}
      {full && (
        <Button size="xs" variant="outline" alignSelf="start" onClick={() => edit({ code: "rehandle" })}>
          Re-handle: lengthen the tang, fill old holes
        </Button>
      )}
    </Group>
  );
}
