"use client";
import { Button, Checkbox, IconButton, Stack, Text } from "@chakra-ui/react";
import { Plus, Trash2 } from "lucide-react";
import type { ComponentType } from "react";
import { SAME_PLACE_MM } from "@/core/base/tolerances";
import { freeId } from "@/core/figures/fit/openSpot";
import type { Handle } from "@/core/knife/design/schema";
import { HANDLE_LENGTHS, type HandleLength, handleLength } from "@/core/knife/layout/handleLengths";
import { NODE_WORDS } from "@/words/bladeWords";
import { HANDLE_LENGTH_WORDS } from "@/words/handleLengths";
import { ChoiceField } from "../../fields/ChoiceField";
import { LengthField } from "../../fields/LengthField";
import { Tick } from "../../fields/Tick";
import { useBench, useDesign, useSelected } from "../../session/BenchContext";
import { GrooveFields } from "./GrooveFields";
import { Group } from "./Group";
import { LengthwiseFields } from "./LengthwiseFields";
import { OutlineForms } from "./OutlineForms";
import { PieceFields } from "./PieceFields";
import { ScalesFields } from "./ScalesFields";
import { SectionFields } from "./SectionFields";
import { WrapFields } from "./WrapFields";

/** What each kind of handle has to say besides its outline. */
const FIELDS: Readonly<Record<Handle["kind"], readonly ComponentType[]>> = {
  bare: [],
  scales: [SectionFields, ScalesFields],
  stack: [SectionFields, PieceFields, LengthwiseFields],
};

/** The handle: outline by lengths and points, section, scales or pieces. */
export function HandleStep() {
  const kind = useDesign((d) => d.handle.kind);
  return (
    <>
      <OnTheTang />
      <Group title="Outline">
        {HANDLE_LENGTHS.map((which) => (
          <HandleLengthField key={which} which={which} />
        ))}
        <Symmetric />
        <FollowSpine />
        <PointTools />
      </Group>
      <OutlineForms />
      {FIELDS[kind].map((Fields, i) => (
        // biome-ignore lint/suspicious/noArrayIndexKey: a kind's fields are always the same
        <Fields key={`${kind} ${i}`} />
      ))}
      <WrapFields />
      <GrooveFields />
    </>
  );
}

/** One of the lengths that shape the outline; none where the outline has no such place. */
function HandleLengthField({ which }: { which: HandleLength }) {
  const { edit } = useBench();
  const mm = useDesign((d) => handleLength(d.handle, which));
  if (mm === null) return null;
  return (
    <LengthField
      label={HANDLE_LENGTH_WORDS[which]}
      mm={mm}
      min={which === "length" ? 20 : 3}
      max={which === "length" ? 600 : 200}
      digits={1}
      onChange={(to) => edit({ code: "handle-length", which, mm: to })}
    />
  );
}

/** Whether a full tang carries scales. */
function OnTheTang() {
  const { edit } = useBench();
  const full = useDesign((d) => d.tang.kind === "full");
  const kind = useDesign((d) => d.handle.kind);
  if (!full) return null;
  return (
    <Group title="On the tang">
      <ChoiceField
        label="It carries"
        value={kind === "bare" ? "bare" : "scales"}
        choices={[
          { value: "scales", name: "Scales" },
          { value: "bare", name: "Nothing: a bare tang" },
        ]}
        onChange={(to) => edit({ code: "tang-bare", bare: to === "bare" })}
      />
    </Group>
  );
}

/** One switch for an outline that is alike over and under the axis. */
function Symmetric() {
  const { edit } = useBench();
  const on = useDesign((d) => d.handle.symmetric);
  return (
    <Tick
      label="Alike over and under the axis"
      checked={on}
      onChange={(mirrors) => edit({ code: "outline-mirrored", mirrors })}
    />
  );
}

/** Lets the handle's front meet the blade's spine without a step. */
function FollowSpine() {
  const { edit } = useBench();
  const step = useDesign((d) => d.handle.outline[0].yMm - d.blade.spineOverAxisMm);
  if (Math.abs(step) < SAME_PLACE_MM) return null;
  return (
    <Button size="xs" variant="outline" alignSelf="start" onClick={() => edit({ code: "follow-spine" })}>
      Follow the spine at the joint
    </Button>
  );
}

/** What can be done to the outline point that is picked out. */
function PointTools() {
  const { edit, session, setSelected } = useBench();
  const selected = useSelected();
  const picked = useDesign((d) => {
    const nodes = d.handle.outline;
    const at = nodes.findIndex((n) => n.id === selected);
    return at < 0 ? null : { at, role: nodes[at].role, corner: nodes[at].corner, count: nodes.length };
  });
  if (!picked) {
    return (
      <Text color="graphite" fontSize="sm">
        Drag the points of the side view, or pick one with Tab and move it with the arrow keys. Enter types
        its place.
      </Text>
    );
  }
  const { at, role, corner, count } = picked;
  const node = () => session.getState().design.handle.outline[at];
  const inner = at > 0 && at < count - 1;
  return (
    <Stack direction="row" gap="2" align="center" wrap="wrap">
      <Text fontWeight="500">{NODE_WORDS[role]}</Text>
      {inner && (
        <Checkbox.Root
          size="sm"
          checked={corner}
          onCheckedChange={({ checked }) =>
            edit({ code: "outline-corner", id: node().id, corner: checked === true })
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
        disabled={count >= 40}
        onClick={() => {
          const id = freeId("point", session.getState().design.handle.outline);
          edit({ code: "outline-add", after: node().id, id });
          setSelected(id);
        }}
      >
        <Plus /> Point after
      </Button>
      {inner && (
        <IconButton
          size="xs"
          variant="outline"
          aria-label={`Remove ${NODE_WORDS[role]}`}
          disabled={count <= 4}
          onClick={() => edit({ code: "outline-remove", id: node().id, role })}
        >
          <Trash2 />
        </IconButton>
      )}
    </Stack>
  );
}
