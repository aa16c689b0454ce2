"use client";
import { Button, Checkbox, IconButton, Stack, Text } from "@chakra-ui/react";
import { Plus, Trash2 } from "lucide-react";
import { BLADE_RUNS, bladePointId } from "@/core/edit/bladeOutline";
import { freeId } from "@/core/figures/fit/openSpot";
import { isFull } from "@/core/knife/design/limits";
import { useBench, useDesign, useSelected } from "../../../session/BenchContext";

/** What can be done to the points of a blade's own outline. */
export function BladePointTools() {
  const { edit, session, setSelected } = useBench();
  const selected = useSelected();
  const picked = useDesign((d) => {
    for (const run of BLADE_RUNS) {
      const at = d.blade.outline?.[run].findIndex((p) => bladePointId(run, p.id) === selected) ?? -1;
      if (at >= 0) return { run, at, corner: d.blade.outline![run][at].corner };
    }
    return null;
  });
  const full = useDesign((d) => BLADE_RUNS.filter((run) => isFull(d, `blade.outline.${run}`)).join());
  const add = (run: "spine" | "edge") => {
    const id = freeId(run, session.getState().design.blade.outline?.[run] ?? []);
    edit({ code: "blade-point-add", run, after: picked?.run === run ? picked.at : null, id });
    setSelected(bladePointId(run, id));
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
              edit({
                code: "set",
                path: `blade.outline.${picked.run}.${picked.at}.corner`,
                to: checked === true,
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
            onClick={() => edit({ code: "blade-point-remove", run: picked.run, at: picked.at })}
          >
            <Trash2 />
          </IconButton>
        </Stack>
      )}
    </>
  );
}
