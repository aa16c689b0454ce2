"use client";
import { Box, Tabs } from "@chakra-ui/react";
import { useBench, useStep } from "./BenchContext";
import { STEPS, type Step } from "./benchState";
import { BladeStep } from "./steps/BladeStep";
import { GuardStep } from "./steps/GuardStep";
import { HandleStep } from "./steps/HandleStep";
import { PartsStep } from "./steps/PartsStep";
import { PinsStep } from "./steps/PinsStep";
import { TangStep } from "./steps/TangStep";

const CONTENT: Record<Step, { name: string; Panel: () => React.ReactNode }> = {
  blade: { name: "Blade", Panel: BladeStep },
  tang: { name: "Tang", Panel: TangStep },
  handle: { name: "Handle", Panel: HandleStep },
  guard: { name: "Guard", Panel: GuardStep },
  pins: { name: "Pins", Panel: PinsStep },
  parts: { name: "Parts", Panel: PartsStep },
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
      <Tabs.List px="2" flexShrink="0">
        {STEPS.map((s) => (
          <Tabs.Trigger
            key={s}
            value={s}
            fontSize="md"
            px="2.5"
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
