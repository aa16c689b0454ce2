"use client";
import { Box, Flex, Stack, Text } from "@chakra-ui/react";
import { lengthUnitName, printLengthBare, printMass, type UnitSystem } from "@/core/units/print";
import { groupPulls } from "@/core/weigh/pulls";
import type { MassReport } from "@/core/weigh/report";
import { GROUP_WORDS, pullSentence } from "@/words/pulls";
import { GROUP_TINT } from "./MomentStrip";
import { useStrip } from "./StripContext";

/** The groups of the strip: what each weighs, and what it adds to the balance. Pointed at, its bars stand out. */
export function StripKey({ report, units }: { report: MassReport; units: UnitSystem }) {
  const { picked, pick } = useStrip();
  return (
    <Stack gap="0" fontSize="sm" role="group" aria-label="Groups of parts" data-testid="strip-groups">
      <Text color="graphite" px="1" lineHeight="1.25">
        Weight · moves balance, {lengthUnitName(units)}
      </Text>
      {groupPulls(report).map((g) => {
        const on = () => pick({ kind: "group", group: g.group });
        const adds = g.addsMm ?? 0;
        return (
          <Box
            key={g.group}
            as="button"
            textAlign="start"
            aria-label={pullSentence(GROUP_WORDS[g.group], g, units)}
            onPointerEnter={on}
            onPointerLeave={() => pick(null)}
            onFocus={on}
            onBlur={() => pick(null)}
            onClick={on}
            px="1"
            py="0.5"
            borderRadius="sm"
            bg={picked?.kind === "group" && picked.group === g.group ? "rule" : undefined}
          >
            <Flex align="center" gap="1.5" lineHeight="1.25">
              <Box w="10px" h="10px" flexShrink="0" style={{ background: GROUP_TINT[g.group] }} />
              {GROUP_WORDS[g.group]}
            </Flex>
            <Text color="graphite" lineHeight="1.25" ps="4">
              {printMass(g.massG, units)} · {adds > 0 && "+"}
              {printLengthBare(adds, units)}
            </Text>
          </Box>
        );
      })}
    </Stack>
  );
}
