"use client";
import { Button, Stack, Text } from "@chakra-ui/react";
import { useState } from "react";
import { BUTT_FORMS, type ButtForm } from "@/core/knife/design/butts";
import { BUTT_WORDS } from "@/words/constructions";
import { LengthField } from "../../fields/LengthField";
import { ShareField } from "../../fields/ShareField";
import { useBench } from "../../session/BenchContext";
import { Group } from "./Group";

/** Shapes that the outline can be given at once; its points can be dragged on from there. */
export function OutlineForms() {
  const { edit } = useBench();
  const [fingers, setFingers] = useState(4);
  const [depthMm, setDepthMm] = useState(2.5);
  return (
    <Group title="Forms">
      <Text color="graphite" fontSize="sm">
        Rear end, keeping length and height:
      </Text>
      <Stack direction="row" wrap="wrap" gap="2">
        {BUTT_FORMS.map((form: ButtForm) => (
          <Button key={form} size="xs" variant="outline" onClick={() => edit({ code: "butt-form", form })}>
            {BUTT_WORDS[form]}
          </Button>
        ))}
      </Stack>
      <ShareField
        label="Finger grooves"
        unit=""
        whole
        value={fingers}
        min={1}
        max={5}
        onChange={setFingers}
      />
      <LengthField label="Depth of a groove" mm={depthMm} min={0.2} max={15} onChange={setDepthMm} />
      <Button
        size="xs"
        variant="outline"
        alignSelf="start"
        onClick={() => edit({ code: "finger-grooves", count: fingers, depthMm })}
      >
        Shape finger grooves
      </Button>
    </Group>
  );
}
