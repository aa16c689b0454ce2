"use client";
import { Button, Checkbox, IconButton, Stack, Text } from "@chakra-ui/react";
import { Plus, Trash2 } from "lucide-react";
import { HANDLE_LENGTHS, type HandleLength, handleLength, withHandleLength } from "@/core/design/lengths";
import { NODE_WORDS } from "@/words/nodes";
import { LengthField } from "../../fields/LengthField";
import { FOR_LINERS, FOR_SCALES, MaterialField } from "../../fields/MaterialField";
import { ShareField } from "../../fields/ShareField";
import { useBench } from "../BenchContext";
import { addNodeAfter, removeNode } from "../outlineEdits";
import { Group } from "./Group";
import { ItemCard } from "./ItemCard";

const LENGTH_WORDS: Record<HandleLength, string> = {
  length: "Length",
  front: "Height at the front",
  groove: "Height at the groove",
  swell: "Height at the swell",
  butt: "Height at the butt",
};

/** The handle: outline by lengths and points, section, scales, liners, front bevel. */
export function HandleStep() {
  const { design, edit } = useBench();
  const { handle } = design;
  return (
    <>
      <Group title="Outline">
        {HANDLE_LENGTHS.map((which) => {
          const mm = handleLength(handle, which);
          return (
            mm !== null && (
              <LengthField
                key={which}
                label={LENGTH_WORDS[which]}
                mm={mm}
                min={which === "length" ? 20 : 3}
                max={which === "length" ? 600 : 200}
                digits={1}
                onChange={(to) =>
                  edit(`Change ${LENGTH_WORDS[which].toLowerCase()}`, (d) => {
                    Object.assign(d.handle, withHandleLength(design.handle, which, to));
                  })
                }
              />
            )
          );
        })}
        <PointTools />
      </Group>
      <Group title="Section">
        <ShareField
          label="Roundness"
          value={handle.roundness}
          min={0}
          max={1}
          help="0 is flat-sided, 100 an ellipse down to the tang."
          onChange={(v) =>
            edit("Change roundness", (d) => {
              d.handle.roundness = v;
            })
          }
        />
        <Text color="graphite" fontSize="sm">
          Thickness: drag the points of the view from above.
        </Text>
        <BevelFields />
      </Group>
      <Group title="Scales">
        {(["right", "left"] as const).map((side) => (
          <ItemCard key={side} id={`scale-${side}`} title={side === "right" ? "Right scale" : "Left scale"}>
            <Stack gap="2">
              <MaterialField
                label="Material"
                value={handle[side].material}
                classes={FOR_SCALES}
                onChange={(id) =>
                  edit(`Change ${side} scale`, (d) => {
                    d.handle[side].material = id;
                  })
                }
              />
              <LengthField
                label="Stock thickness"
                mm={handle[side].thicknessMm}
                min={0.3}
                max={80}
                onChange={(mm) =>
                  edit(`Change ${side} scale`, (d) => {
                    d.handle[side].thicknessMm = mm;
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
            edit("Match the left scale", (d) => {
              d.handle.left = { ...d.handle.right };
            })
          }
        >
          Make the left like the right
        </Button>
      </Group>
      <LinerFields />
    </>
  );
}

/** What can be done to the outline point that is picked out. */
function PointTools() {
  const { design, edit, selected, setSelected } = useBench();
  const nodes = design.handle.outline;
  const at = nodes.findIndex((n) => n.id === selected);
  const node = nodes[at];
  if (!node) {
    return (
      <Text color="graphite" fontSize="sm">
        Drag the points of the side view, or pick one with Tab and move it with the arrow keys. Enter types
        its place.
      </Text>
    );
  }
  const inner = at > 0 && at < nodes.length - 1;
  return (
    <Stack direction="row" gap="2" align="center" wrap="wrap">
      <Text fontWeight="500">{NODE_WORDS[node.role]}</Text>
      {inner && (
        <Checkbox.Root
          size="sm"
          checked={node.corner}
          onCheckedChange={({ checked }) =>
            edit(checked ? "Make a corner" : "Round the corner", (d) => {
              d.handle.outline[at].corner = checked === true;
            })
          }
        >
          <Checkbox.HiddenInput />
          <Checkbox.Control />
          <Checkbox.Label>Corner</Checkbox.Label>
        </Checkbox.Root>
      )}
      <Button
        size="xs"
        variant="outline"
        disabled={nodes.length >= 40}
        onClick={() => setSelected(addNodeAfter(edit, node))}
      >
        <Plus /> Point after
      </Button>
      {inner && (
        <IconButton
          size="xs"
          variant="outline"
          aria-label={`Remove ${NODE_WORDS[node.role]}`}
          disabled={nodes.length <= 4}
          onClick={() => removeNode(edit, node)}
        >
          <Trash2 />
        </IconButton>
      )}
    </Stack>
  );
}

function BevelFields() {
  const { design, edit } = useBench();
  const bevel = design.handle.frontBevel;
  return (
    <>
      <Checkbox.Root
        size="sm"
        checked={bevel !== null}
        onCheckedChange={({ checked }) =>
          edit(checked ? "Bevel the front" : "Leave the front square", (d) => {
            d.handle.frontBevel = checked ? { lengthMm: 4, angleDeg: 45 } : null;
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
              edit("Change front bevel", (d) => {
                if (d.handle.frontBevel) d.handle.frontBevel.lengthMm = mm;
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
              edit("Change front bevel", (d) => {
                if (d.handle.frontBevel) d.handle.frontBevel.angleDeg = v;
              })
            }
          />
        </>
      )}
    </>
  );
}

function LinerFields() {
  const { design, edit } = useBench();
  const { liners } = design.handle;
  return (
    <Group
      title="Liners, both sides"
      aside={
        <Button
          size="xs"
          variant="outline"
          disabled={liners.length >= 3}
          onClick={() =>
            edit("Add liner", (d) => {
              d.handle.liners.push({ material: "g10", thicknessMm: 0.8 });
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
            edit("Remove liner", (d) => {
              d.handle.liners.splice(i, 1);
            })
          }
        >
          <Stack gap="2">
            <MaterialField
              label="Material"
              value={l.material}
              classes={FOR_LINERS}
              onChange={(id) =>
                edit("Change liner", (d) => {
                  d.handle.liners[i].material = id;
                })
              }
            />
            <LengthField
              label="Thickness"
              mm={l.thicknessMm}
              min={0.05}
              max={10}
              onChange={(mm) =>
                edit("Change liner", (d) => {
                  d.handle.liners[i].thicknessMm = mm;
                })
              }
            />
          </Stack>
        </ItemCard>
      ))}
    </Group>
  );
}
