"use client";
import { Text } from "@chakra-ui/react";
import { printMass, type UnitSystem } from "@/core/base/units/print";
import { castPlan } from "@/core/materials/own/cast";
import type { DensityBasis } from "@/core/materials/own/types";

/** What to mix for a cast, by volume and by weight. */
export function CastFacts({
  basis,
  units,
}: {
  basis: Extract<DensityBasis, { kind: "cast" }>;
  units: UnitSystem;
}) {
  const { mouldMm3, inclusionsMm3, resinMm3, resinG, massG, partA, partB } = castPlan(basis);
  const ml = (mm3: number) => `${(mm3 / 1000).toFixed(1)} ml`;
  const measure = (m: typeof partA) => `${m.ml.toFixed(1)} ml · ${printMass(m.g, units)}`;
  return (
    <Text fontSize="sm" data-testid="cast-plan">
      The mould holds {ml(mouldMm3)}, the pieces take {ml(inclusionsMm3)}: resin {ml(resinMm3)} ·{" "}
      {printMass(resinG, units)}. Mix part A {measure(partA)}, part B {measure(partB)}. The cast will weigh{" "}
      {printMass(massG, units)}.
    </Text>
  );
}
