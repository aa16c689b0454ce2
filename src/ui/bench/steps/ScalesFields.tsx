"use client";
import { Button, Checkbox, Stack, Text } from "@chakra-ui/react";
import { Plus } from "lucide-react";
import type { ScalesHandle } from "@/core/design/schema";
import type { Draft } from "@/store/session";
import { LengthField } from "../../fields/LengthField";
import { FOR_LINERS, FOR_SCALES, MaterialField } from "../../fields/MaterialField";
import { ShareField } from "../../fields/ShareField";
import { useBench } from "../BenchContext";
import { BolsterFields } from "./BolsterFields";
import { Group } from "./Group";
import { ItemCard } from "./ItemCard";
import { JointFields } from "./JointFields";

/** Edits a handle of scales, and nothing if it is one no more. */
function useScalesEdit() {
  const { edit } = useBench();
  return (label: string, recipe: (handle: Draft<ScalesHandle>) => void) =>
    edit(label, (d) => {
      if (d.handle.kind === "scales") recipe(d.handle);
    });
}

/** Scales, their front bevel, and liners. */
export function ScalesFields({ handle }: { handle: ScalesHandle }) {
  const edit = useScalesEdit();
  return (
    <>
      <Group title="Scales">
        {(["right", "left"] as const).map((side) => (
          <ItemCard key={side} id={`scale-${side}`} title={side === "right" ? "Right scale" : "Left scale"}>
            <Stack gap="2">
              <MaterialField
                label="Material"
                value={handle[side].material}
                classes={FOR_SCALES}
                onChange={(id) =>
                  edit(`Change ${side} scale`, (h) => {
                    h[side].material = id;
                  })
                }
              />
              <LengthField
                label="Stock thickness"
                mm={handle[side].thicknessMm}
                min={0.3}
                max={80}
                onChange={(mm) =>
                  edit(`Change ${side} scale`, (h) => {
                    h[side].thicknessMm = mm;
                  })
                }
              />
            </Stack>
          </ItemCard>
        ))}
        <Button
          size="xs"
          variant="outline"
          alignSelf="start"
          onClick={() =>
            edit("Match the left scale", (h) => {
              h.left = { ...h.right };
            })
          }
        >
          Make the left like the right
        </Button>
      </Group>
      <BevelFields handle={handle} />
      <LinerFields handle={handle} />
      <BolsterFields handle={handle} />
      <JointFields handle={handle} />
    </>
  );
}

function BevelFields({ handle }: { handle: ScalesHandle }) {
  const edit = useScalesEdit();
  const bevel = handle.frontBevel;
  return (
    <Group title="Front of the scales">
      <Checkbox.Root
        size="sm"
        checked={bevel !== null}
        onCheckedChange={({ checked }) =>
          edit(checked ? "Bevel the front" : "Leave the front square", (h) => {
            h.frontBevel = checked ? { lengthMm: 4, angleDeg: 45 } : null;
          })
        }
      >
        <Checkbox.HiddenInput />
        <Checkbox.Control />
        <Checkbox.Label>Front bevel</Checkbox.Label>
      </Checkbox.Root>
      {bevel && (
        <>
          <LengthField
            label="Bevel length"
            mm={bevel.lengthMm}
            min={0.1}
            max={60}
            onChange={(mm) =>
              edit("Change front bevel", (h) => {
                if (h.frontBevel) h.frontBevel.lengthMm = mm;
              })
            }
          />
          <ShareField
            label="Bevel angle"
            unit="°"
            value={bevel.angleDeg}
            min={5}
            max={85}
            help="Finish the front faces before glue-up: they cannot be reached after."
            onChange={(v) =>
              edit("Change front bevel", (h) => {
                if (h.frontBevel) h.frontBevel.angleDeg = v;
              })
            }
          />
        </>
      )}
    </Group>
  );
}

function LinerFields({ handle }: { handle: ScalesHandle }) {
  const edit = useScalesEdit();
  const { liners } = handle;
  return (
    <Group
      title="Liners, both sides"
      aside={
        <Button
          size="xs"
          variant="outline"
          disabled={liners.length >= 3}
          onClick={() =>
            edit("Add liner", (h) => {
              h.liners.push({ material: "g10", thicknessMm: 0.8 });
            })
          }
        >
          <Plus /> Add liner
        </Button>
      }
    >
      {liners.length === 0 && (
        <Text color="graphite" fontSize="sm">
          None. Up to three sheets can lie between tang and scale.
        </Text>
      )}
      {liners.map((l, i) => (
        <ItemCard
          // biome-ignore lint/suspicious/noArrayIndexKey: a liner is its place in the stack
          key={i}
          id={`liner-${i + 1}`}
          title={`Liner ${i + 1}${i === 0 ? ", on the tang" : ""}`}
          onRemove={() =>
            edit("Remove liner", (h) => {
              h.liners.splice(i, 1);
            })
          }
        >
          <Stack gap="2">
            <MaterialField
              label="Material"
              value={l.material}
              classes={FOR_LINERS}
              onChange={(id) =>
                edit("Change liner", (h) => {
                  h.liners[i].material = id;
                })
              }
            />
            <LengthField
              label="Thickness"
              mm={l.thicknessMm}
              min={0.05}
              max={10}
              onChange={(mm) =>
                edit("Change liner", (h) => {
                  h.liners[i].thicknessMm = mm;
                })
              }
            />
          </Stack>
        </ItemCard>
      ))}
    </Group>
  );
}
