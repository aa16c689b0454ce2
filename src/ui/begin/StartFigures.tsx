import { Box, Text } from "@chakra-ui/react";
import { printMass } from "@/core/base/units/print";
import type { Weighing } from "@/core/figures/weigh/weigh";
import { useUnits } from "@/store/settings";
import { balanceShort } from "@/words/balance";
import { findingWords } from "@/words/findings";
import { useMaterialOf } from "../kit/materials";

/** What the knife in these sizes weighs and where it balances, or why it cannot be built. */
export function StartFigures({ answer }: { answer: Weighing | "failed" | undefined }) {
  const materialOf = useMaterialOf();
  const units = useUnits();
  if (answer === "failed")
    return <Text color="fault">The weighing failed. Begin it all the same, or reload.</Text>;
  if (!answer) return <Text color="graphite">weighing …</Text>;
  if (!answer.ok)
    return (
      <Text color="fault" role="alert">
        {findingWords(answer.findings[0], units, materialOf)}
      </Text>
    );
  const { massG, balanceMm } = answer.report;
  return (
    <Box data-testid="start-figures" fontVariantNumeric="tabular-nums">
      <Text fontSize="xl" fontWeight="600">
        {printMass(massG, units)}
      </Text>
      <Text>balances {balanceShort(balanceMm, units)}</Text>
    </Box>
  );
}
