"use client";
import { Button, Checkbox, Stack, Text } from "@chakra-ui/react";
import { Plus } from "lucide-react";
import { withTang } from "@/core/design/create";
import type { FullTang } from "@/core/design/schema";
import type { Draft } from "@/store/session";
import { ChoiceField } from "../../fields/ChoiceField";
import { LengthField } from "../../fields/LengthField";
import { FOR_FILLS, MaterialField } from "../../fields/MaterialField";
import { useBench } from "../BenchContext";
import { freeId, openSpot } from "../openSpot";
import { Group } from "./Group";
import { HiddenTangFields } from "./HiddenTangFields";
import { ItemCard } from "./ItemCard";

/** The tang: its kind, and what that kind has to say. */
export function TangStep() {
  const { design, edit, session } = useBench();
  const { tang } = design;
  return (
    <>
      <Group title="Tang">
        <ChoiceField
          label="Kind of tang"
          value={tang.kind}
          choices={[
            { value: "full", name: "Full slab" },
            { value: "hidden", name: "Hidden, glued" },
          ]}
          help="Changing it keeps outline, guard, pins and the handle's material, and can be undone."
          onChange={(kind) =>
            edit("Change kind of tang", (d) => {
              Object.assign(d, withTang(session.getState().design, kind));
            })
          }
        />
      </Group>
      {tang.kind === "full" ? <FullTangFields tang={tang} /> : <HiddenTangFields tang={tang} />}
    </>
  );
}

function FullTangFields({ tang: { taper, holes } }: { tang: FullTang }) {
  const { design, edit: editDesign, setSelected } = useBench();
  const edit = (label: string, recipe: (tang: Draft<FullTang>) => void) =>
    editDesign(label, (d) => {
      if (d.tang.kind === "full") recipe(d.tang);
    });
  const add = () => {
    const id = freeId("hole", holes);
    edit("Add tang hole", (t) => {
      t.holes.push({ id, ...openSpot(design, 8), diameterMm: 8, fill: null });
    });
    setSelected(id);
  };
  return (
    <>
      <Group title="Full tang">
        <Text color="graphite" fontSize="sm">
          A slab of the handle's outline, in the blade's steel.
        </Text>
        <Checkbox.Root
          size="sm"
          checked={taper !== null}
          onCheckedChange={({ checked }) =>
            edit(checked ? "Taper the tang" : "Keep the tang parallel", (t) => {
              const spine = design.blade.spineMm;
              t.taper = checked
                ? { frontMm: spine, buttMm: Math.max(0.3, Math.round(spine * 6) / 10) }
                : null;
            })
          }
        >
          <Checkbox.HiddenInput />
          <Checkbox.Control />
          <Checkbox.Label>Tapered</Checkbox.Label>
        </Checkbox.Root>
        {taper && (
          <>
            <LengthField
              label="Thickness at the front"
              mm={taper.frontMm}
              min={0.3}
              max={25}
              onChange={(mm) =>
                edit("Change tang thickness", (t) => {
                  if (t.taper) t.taper.frontMm = mm;
                })
              }
            />
            <LengthField
              label="Thickness at the butt"
              mm={taper.buttMm}
              min={0.3}
              max={25}
              onChange={(mm) =>
                edit("Change tang thickness", (t) => {
                  if (t.taper) t.taper.buttMm = mm;
                })
              }
            />
          </>
        )}
      </Group>
      <Group
        title="Lightening holes"
        aside={
          <Button size="xs" variant="outline" onClick={add}>
            <Plus /> Add hole
          </Button>
        }
      >
        {holes.length === 0 && (
          <Text color="graphite" fontSize="sm">
            None. Holes take weight from behind the front, which moves the balance forward; epoxy in them keys
            the scales.
          </Text>
        )}
        {holes.map((h, i) => {
          const change = (label: string, part: Partial<typeof h>) =>
            edit(label, (t) => {
              Object.assign(t.holes[i], part);
            });
          return (
            <ItemCard
              key={h.id}
              id={h.id}
              title={`Hole ${i + 1}`}
              onRemove={() =>
                edit("Remove tang hole", (t) => {
                  t.holes.splice(i, 1);
                })
              }
            >
              <Stack gap="2">
                <LengthField
                  label="Diameter"
                  mm={h.diameterMm}
                  min={0.3}
                  max={60}
                  digits={3}
                  onChange={(diameterMm) => change("Resize tang hole", { diameterMm })}
                />
                <LengthField
                  label="Behind the front"
                  mm={-h.xMm}
                  min={0}
                  max={600}
                  onChange={(mm) => change("Move tang hole", { xMm: -mm })}
                />
                <LengthField
                  label="Above the axis"
                  mm={h.yMm}
                  min={-300}
                  max={300}
                  onChange={(yMm) => change("Move tang hole", { yMm })}
                />
                <MaterialField
                  label="Filled with"
                  value={h.fill ?? ""}
                  classes={FOR_FILLS}
                  none="Nothing: left empty"
                  onChange={(id) => change("Change hole fill", { fill: id || null })}
                />
              </Stack>
            </ItemCard>
          );
        })}
      </Group>
      <Text color="graphite" fontSize="sm">
        Drill, lighten and notch the tang before hardening. Clamp the work; never hold a blade by hand under
        the drill.
      </Text>
    </>
  );
}
