"use client";
import { Box, Stack } from "@chakra-ui/react";
import { CostSection } from "../cost/CostSection";
import { CompareCharts } from "./CompareCharts";
import { CompareTable } from "./CompareTable";
import { ComparisonSection } from "./ComparisonSection";
import { useChoices, useColumns } from "./useColumns";
import { VariantsSection } from "./VariantsSection";

/** Other makings of the knife, and up to four knives side by side: drawn, in figures, by mass, balance and cost. */
export function CompareView() {
  const choices = useChoices();
  const columns = useColumns(choices);
  return (
    <Box
      flex="1"
      minW="0"
      overflowY={{ lg: "auto" }}
      px={{ base: "3", sm: "6" }}
      py="4"
      data-testid="compare-sheet"
    >
      <Stack gap="8" maxW="1180px" mx="auto">
        <ComparisonSection columns={columns} choices={choices} />
        <CompareTable columns={columns} />
        <CompareCharts columns={columns} />
        <VariantsSection />
        <CostSection columns={columns} />
      </Stack>
    </Box>
  );
}
