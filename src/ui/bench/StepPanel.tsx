"use client";
import { Box, Tabs, Text } from "@chakra-ui/react";
import dynamic from "next/dynamic";
import type { ComponentType } from "react";
import { useBench, useStep } from "./BenchContext";
import { STEPS, type Step } from "./benchState";
import { BladeStep } from "./steps/blade/BladeStep";

// A knife is opened at its blade: what the other steps show is fetched when their tab is pointed at.
const PANELS = {
  tang: () => import("./steps/TangStep").then((m) => m.TangStep),
  handle: () => import("./steps/HandleStep").then((m) => m.HandleStep),
  guard: () => import("./steps/GuardStep").then((m) => m.GuardStep),
  pins: () => import("./steps/PinsStep").then((m) => m.PinsStep),
  parts: () => import("./steps/PartsStep").then((m) => m.PartsStep),
  notes: () => import("./steps/NotesStep").then((m) => m.NotesStep),
};
const loading = () => <Text color="graphite">Loading …</Text>;

const CONTENT: Record<Step, { name: string; Panel: ComponentType; prefetch?: () => Promise<unknown> }> = {
  blade: { name: "Blade", Panel: BladeStep },
  tang: { name: "Tang", Panel: dynamic(PANELS.tang, { ssr: false, loading }), prefetch: PANELS.tang },
  handle: { name: "Handle", Panel: dynamic(PANELS.handle, { ssr: false, loading }), prefetch: PANELS.handle },
  guard: { name: "Guard", Panel: dynamic(PANELS.guard, { ssr: false, loading }), prefetch: PANELS.guard },
  pins: { name: "Pins", Panel: dynamic(PANELS.pins, { ssr: false, loading }), prefetch: PANELS.pins },
  parts: { name: "Parts", Panel: dynamic(PANELS.parts, { ssr: false, loading }), prefetch: PANELS.parts },
  notes: { name: "Notes", Panel: dynamic(PANELS.notes, { ssr: false, loading }), prefetch: PANELS.notes },
};

/** The step at hand, beside the drawing. */
export function StepPanel() {
  return (
    <Box
      w="348px"
      flexShrink="0"
      bg="sheet"
      borderLeftWidth="1px"
      display="flex"
      flexDirection="column"
      minH="0"
    >
      <Steps />
    </Box>
  );
}

function Steps() {
  const { setStep } = useBench();
  const step = useStep();
  return (
    <Tabs.Root
      value={step}
      onValueChange={(e) => setStep(e.value as Step)}
      size="sm"
      display="flex"
      flexDirection="column"
      minH="0"
      flex="1"
    >
      <Tabs.List px="1.5" flexShrink="0">
        {STEPS.map((s) => (
          <Tabs.Trigger
            key={s}
            value={s}
            onPointerEnter={() => void CONTENT[s].prefetch?.()}
            fontSize="0.9375rem"
            px="1.5"
            color="graphite"
            _selected={{ color: "ink", fontWeight: "600" }}
          >
            {CONTENT[s].name}
          </Tabs.Trigger>
        ))}
      </Tabs.List>
      {STEPS.map((s) => {
        const { Panel } = CONTENT[s];
        return (
          <Tabs.Content key={s} value={s} px="4" py="3" overflowY="auto" flex="1">
            {s === step && <Panel />}
          </Tabs.Content>
        );
      })}
    </Tabs.Root>
  );
}
