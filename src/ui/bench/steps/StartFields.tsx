"use client";
import { Button, Text } from "@chakra-ui/react";
import { measuredBalanceMm } from "@/core/design/measuredBalance";
import { asRehandled, newMeasured, withBalanceKind } from "@/core/design/starts";
import { printLength } from "@/core/units/print";
import { isOfBlade } from "@/core/weigh/measured";
import { useUnits } from "@/store/settings";
import { LengthAt, MassAt, Tick, YesAt } from "../../fields/bound";
import { ChoiceField } from "../../fields/ChoiceField";
import { useBench, useDesign, useWeighing } from "../BenchContext";
import { Group } from "./Group";

/** Where the knife starts: a blade drawn here, one in the hand, or an old knife. */
export function StartFields() {
  const { edit, session } = useBench();
  const measured = useDesign((d) => d.blade.measured);
  const full = useDesign((d) => d.tang.kind === "full");
  const units = useUnits();
  const weighing = useWeighing();
  const steel = weighing?.ok ? weighing.report.parts.filter((p) => isOfBlade(p.key)) : [];
  const massG = steel.reduce((sum, p) => sum + p.massG, 0);
  const balance = massG > 0 ? steel.reduce((sum, p) => sum + p.massG * p.centreMm[0], 0) / massG : 0;
  return (
    <Group title="Where it starts">
      <Tick
        label="A blade in the hand, weighed"
        checked={measured !== null}
        onChange={(on) =>
          edit(on ? "Weigh a blade in the hand" : "Go back to the drawn blade", (d) => {
            d.blade.measured = on ? newMeasured(massG || 100, balance) : null;
          })
        }
      />
      {measured ? (
        <>
          <Text color="graphite" fontSize="sm">
            Weight and balance of blade and tang as they are, without guard or handle. Their outline below
            only says where they are.
          </Text>
          <MassAt at="blade.measured.massG" label="Weight of the blade" />
          <MassAt at="blade.measured.massOffG" label="The scale may be off by" />
          <ChoiceField
            label="Balance found"
            value={measured.balance.kind}
            choices={[
              { value: "direct", name: "On one edge" },
              { value: "supports", name: "On two supports" },
            ]}
            onChange={(kind) =>
              edit("Change how the balance was found", (d) => {
                d.blade.measured = withBalanceKind(session.getState().design.blade, kind);
              })
            }
          />
          {measured.balance.kind === "direct" ? (
            <LengthAt
              at="blade.measured.balance.xMm"
              label="Balances ahead of the datum"
              help="Behind it is below zero."
            />
          ) : (
            <>
              <LengthAt at="blade.measured.balance.restAtMm" label="Plain support at" />
              <LengthAt at="blade.measured.balance.scaleAtMm" label="Support on the scale at" />
              <MassAt at="blade.measured.balance.readingG" label="The scale reads" />
              <Text color="graphite" fontSize="sm">
                It balances {printLength(measuredBalanceMm(measured), units)} ahead of the datum.
              </Text>
            </>
          )}
          <LengthAt at="blade.measured.balanceOffMm" label="Balance may be off by" />
          <YesAt at="blade.measured.holesIn" label="Its holes were in it when weighed" />
        </>
      ) : (
        <Text color="graphite" fontSize="sm">
          Drawn here: its weight comes from its shape.
        </Text>
      )}
      {full && (
        <Button
          size="xs"
          variant="outline"
          alignSelf="start"
          onClick={() =>
            edit("Re-handle an old knife", (d) => {
              Object.assign(d, asRehandled(session.getState().design));
            })
          }
        >
          Re-handle: lengthen the tang, fill old holes
        </Button>
      )}
    </Group>
  );
}
