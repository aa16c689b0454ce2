"use client";
import { Button, Text } from "@chakra-ui/react";
import { START_WORDS } from "@/words/measured";
import { ChoiceField } from "../../fields/ChoiceField";
import { useBench, useDesign } from "../../session/BenchContext";
import { Group } from "./Group";
import { MeasuredFields } from "./MeasuredFields";

const STARTS = (Object.keys(START_WORDS) as (keyof typeof START_WORDS)[]).map((value) => ({
  value,
  name: START_WORDS[value],
}));

/** Where the knife starts: a blade drawn here, one in the hand, a finished knife in the hand, or an old knife. */
export function StartFields() {
  const { edit } = useBench();
  const kind = useDesign((d) => d.blade.measured?.of.kind ?? "drawn");
  const full = useDesign((d) => d.tang.kind === "full");
  return (
    <Group title="Starting point">
      <ChoiceField
        label="The knife is"
        value={kind}
        choices={STARTS}
        wide
        onChange={(from) => edit({ code: "start-from", from })}
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
