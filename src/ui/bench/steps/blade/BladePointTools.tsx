"use client";
import { Button, Checkbox, IconButton, Stack, Text } from "@chakra-ui/react";
import { Plus, Trash2 } from "lucide-react";
import { isFull } from "@/core/design/limits";
import { useBench, useDesign, useSelected } from "../../BenchContext";
import { addBladePoint, bladeRuns, removeBladePoint } from "../../bladeEdits";

/** What can be done to the points of a blade's own outline. */
export function BladePointTools() {
  const { edit, session, setSelected } = useBench();
  const selected = useSelected();
  const picked = useDesign((d) => {
    for (const run of bladeRuns) {
      const at = d.blade.outline?.[run].findIndex((p) => `blade-${run}-${p.id}` === selected) ?? -1;
      if (at >= 0) return { run, at, corner: d.blade.outline![run][at].corner };
    }
    return null;
  });
  const full = useDesign((d) => bladeRuns.filter((run) => isFull(d, `blade.outline.${run}`)).join());
  const add = (run: "spine" | "edge") => {
    const id = addBladePoint(edit, session.getState().design, run, picked?.run === run ? picked.at : null);
    if (id) setSelected(id);
  };
  return (
    <>
      <Text color="graphite" fontSize="sm">
        Drag the points of the side view, or pick one with Tab and move it with the arrow keys. Enter types
        its place, Delete removes it.
      </Text>
      <Stack direction="row" gap="2" align="center" wrap="wrap">
        <Button size="xs" variant="outline" disabled={full.includes("spine")} onClick={() => add("spine")}>
          <Plus /> Point on the spine
        </Button>
        <Button size="xs" variant="outline" disabled={full.includes("edge")} onClick={() => add("edge")}>
          <Plus /> Point on the edge
        </Button>
      </Stack>
      {picked && (
        <Stack direction="row" gap="2" align="center" wrap="wrap">
          <Text fontWeight="500">
            {picked.run === "spine" ? "Spine" : "Edge"}, point {picked.at + 1}
          </Text>
          <Checkbox.Root
            size="sm"
            checked={picked.corner}
            onCheckedChange={({ checked }) =>
              edit(checked ? "Make a corner" : "Round the corner", (d) => {
                const point = d.blade.outline?.[picked.run][picked.at];
                if (point) point.corner = checked === true;
              })
            }
          >
            <Checkbox.HiddenInput />
            <Checkbox.Control />
            <Checkbox.Label>Corner</Checkbox.Label>
          </Checkbox.Root>
          <IconButton
            size="xs"
            variant="outline"
            aria-label="Remove the point"
            onClick={() => edit("Remove outline point", (d) => removeBladePoint(d, picked.run, picked.at))}
          >
            <Trash2 />
          </IconButton>
        </Stack>
      )}
    </>
  );
}
