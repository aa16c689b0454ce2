"use client";
import { Text } from "@chakra-ui/react";
import { printLength } from "@/core/base/units/print";
import type { Wrap } from "@/core/knife/design/schema";
import { wrapPlan } from "@/core/knife/layout/grips";
import { layoutOf } from "@/core/knife/layout/layout";
import { useSettings } from "@/store/settings";
import { WRAP_KIND_WORDS, WRAP_ON_WORDS, WRAP_PATTERN_WORDS } from "@/words/grips";
import { ChoiceAt, LengthAt, MaterialAt, TickAt } from "../../bound/bound";
import { FOR_WRAPS } from "../../bound/MaterialField";
import { useBench, useDesign } from "../../session/BenchContext";
import { Group } from "./Group";

/** A cord wrap to begin from: over the whole grip, turn beside turn. */
function newWrap(frontMm: number, buttMm: number): Wrap {
  return {
    on: "grip",
    kind: "cord",
    material: "cord-nylon-flat",
    widthMm: 4,
    thicknessMm: 1.8,
    pitchMm: 4,
    pattern: "single",
    fromMm: Math.round(frontMm - 4),
    toMm: Math.round(buttMm + 12),
  };
}

/** Cord or leather wound round the tang or the handle, and how much of it to buy. */
export function WrapFields() {
  const { session } = useBench();
  const { units } = useSettings();
  const wrap = useDesign((d) => d.handle.wrap);
  const stacked = useDesign((d) => d.handle.kind === "stack");
  const plan = useDesign((d) => (d.handle.wrap ? wrapPlan(layoutOf(d), d.handle.wrap) : null));
  const make = () => {
    const { frontX, buttX } = layoutOf(session.getState().design);
    return newWrap(frontX, buttX);
  };
  return (
    <Group title="Wrap">
      <TickAt at="handle.wrap" make={make} />
      {wrap && (
        <>
          {(stacked || wrap.on === "pommel") && <ChoiceAt at="handle.wrap.on" names={WRAP_ON_WORDS} />}
          <ChoiceAt at="handle.wrap.kind" names={WRAP_KIND_WORDS} />
          <MaterialAt at="handle.wrap.material" classes={FOR_WRAPS} />
          <LengthAt at="handle.wrap.widthMm" />
          <LengthAt at="handle.wrap.thicknessMm" />
          <LengthAt at="handle.wrap.pitchMm" />
          <ChoiceAt at="handle.wrap.pattern" names={WRAP_PATTERN_WORDS} />
          {wrap.on === "grip" && (
            <>
              <LengthAt at="handle.wrap.fromMm" behind />
              <LengthAt at="handle.wrap.toMm" behind />
            </>
          )}
        </>
      )}
      {plan && plan.buyMm > 0 && (
        <Text color="graphite" fontSize="sm" data-testid="wrap-plan">
          {Math.round(plan.turns)} turns, {printLength(plan.lengthMm, units, 0)} on the handle; buy{" "}
          {printLength(Math.ceil(plan.buyMm / 100) * 100, units, 0)}: a tenth more, and 300 mm for both ends.
        </Text>
      )}
    </Group>
  );
}
