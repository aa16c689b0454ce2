"use client";
import { Stack } from "@chakra-ui/react";
import { CostSection } from "../cost/CostSection";
import { ScrolledPart } from "../kit/Columns";
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
    <ScrolledPart data-testid="compare-sheet">
      <Stack gap="8" maxW="1180px" mx="auto">
        <ComparisonSection columns={columns} choices={choices} />
        <CompareTable columns={columns} />
        <CompareCharts columns={columns} />
        <VariantsSection />
        <CostSection columns={columns} />
      </Stack>
    </ScrolledPart>
  );
}
