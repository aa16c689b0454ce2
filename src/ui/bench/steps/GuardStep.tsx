"use client";
import { Checkbox, Text } from "@chakra-ui/react";
import { newGuard } from "@/core/design/create";
import type { Guard } from "@/core/design/schema";
import { LengthField } from "../../fields/LengthField";
import { FOR_GUARDS, MaterialField } from "../../fields/MaterialField";
import { ShareField } from "../../fields/ShareField";
import { useBench } from "../BenchContext";
import { Group } from "./Group";

/** A plate guard across the tang, its front face on the datum. */
export function GuardStep() {
  const { design, edit } = useBench();
  const { guard } = design;
  const change = (label: string, part: Partial<Guard>) =>
    edit(label, (d) => {
      if (d.guard) Object.assign(d.guard, part);
    });
  return (
    <>
      <Group title="Guard">
        <Checkbox.Root
          size="sm"
          checked={guard !== null}
          onCheckedChange={({ checked }) =>
            edit(checked ? "Add a guard" : "Leave out the guard", (d) => {
              d.guard = checked ? newGuard(design) : null;
            })
          }
        >
          <Checkbox.HiddenInput />
          <Checkbox.Control />
          <Checkbox.Label>Plate guard</Checkbox.Label>
        </Checkbox.Root>
        {!guard && (
          <Text color="graphite" fontSize="sm">
            None: the handle begins at the datum.
          </Text>
        )}
        {guard && (
          <>
            <LengthField
              label="Thickness"
              mm={guard.thicknessMm}
              min={0.3}
              max={60}
              onChange={(thicknessMm) => change("Change guard thickness", { thicknessMm })}
            />
            <LengthField
              label="Above the axis"
              mm={guard.aboveMm}
              min={1}
              max={150}
              onChange={(aboveMm) => change("Change guard height", { aboveMm })}
            />
            <LengthField
              label="Below the axis"
              mm={guard.belowMm}
              min={1}
              max={150}
              onChange={(belowMm) => change("Change guard height", { belowMm })}
            />
            <LengthField
              label="Width"
              mm={guard.widthMm}
              min={1}
              max={120}
              onChange={(widthMm) => change("Change guard width", { widthMm })}
            />
            <ShareField
              label="Roundness"
              value={guard.roundness}
              min={0}
              max={1}
              help="0 is a rectangle from the front, 100 an oval."
              onChange={(roundness) => change("Change guard shape", { roundness })}
            />
            <MaterialField
              label="Material"
              value={guard.material}
              classes={FOR_GUARDS}
              onChange={(material) => change("Change guard material", { material })}
            />
          </>
        )}
      </Group>
      <Text color="graphite" fontSize="sm">
        Fit the guard before any hole of the handle is drilled. It goes on from the butt: everything behind
        its seat must pass the slot.
      </Text>
    </>
  );
}
