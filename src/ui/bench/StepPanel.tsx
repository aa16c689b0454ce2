"use client";
import { Box, Tabs } from "@chakra-ui/react";
import { useBench, useStep, useViews } from "../session/BenchContext";

/** The step at hand, beside the drawing. */
export function StepPanel() {
  return (
    <Box
      w={{ base: "full", lg: "348px" }}
      flex={{ base: "1", lg: "0 0 auto" }}
      bg="sheet"
      borderLeftWidth={{ lg: "1px" }}
      borderTopWidth={{ base: "1px", lg: "0" }}
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
  const { steps } = useViews();
  const step = useStep();
  return (
    <Tabs.Root
      value={step}
      onValueChange={(e) => setStep(e.value)}
      size="sm"
      display="flex"
      flexDirection="column"
      minH="0"
      flex="1"
    >
      <Tabs.List px="1.5" flexShrink="0" flexWrap={{ base: "wrap", lg: "nowrap" }}>
        {steps.map(({ id, name, prefetch }) => (
          <Tabs.Trigger
            key={id}
            value={id}
            onPointerEnter={() => void prefetch?.()}
            fontSize="0.9375rem"
            px="1.5"
            color="graphite"
            _selected={{ color: "ink", fontWeight: "600" }}
          >
            {name}
          </Tabs.Trigger>
        ))}
      </Tabs.List>
      {steps.map(({ id, Panel }) => (
        <Tabs.Content key={id} value={id} px="4" py="3" overflowY="auto" flex="1">
          {id === step && <Panel />}
        </Tabs.Content>
      ))}
    </Tabs.Root>
  );
}
