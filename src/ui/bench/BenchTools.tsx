"use client";
import { Button, Flex, HStack, IconButton, Input, Text } from "@chakra-ui/react";
import { FileUp, Redo2, RotateCcw, Save, Undo2 } from "lucide-react";
import { useEffect, useState } from "react";
import { useStore } from "zustand";
import { exportKnife } from "../files";
import { notices } from "../shell/notice";
import { useBench, useDesign } from "./BenchContext";

const KEPT_WORDS = {
  kept: "kept",
  keeping: "keeping …",
  conflict: "not kept: changed elsewhere",
  deleted: "not kept: deleted elsewhere",
  unreadable: "not kept: changed elsewhere",
  failed: "not kept",
} as const;

/** What can be done with the knife as a whole: name, undo, save, export. */
export function BenchTools() {
  const { knifeId, session, autosave, state, edit } = useBench();
  const kept = useDesign((d) => d.name);
  const changed = useChanged();
  // Only these: tracking is paused and taken up again at every step of a drag.
  const pastStates = useStore(session.temporal, (t) => t.pastStates);
  const futureStates = useStore(session.temporal, (t) => t.futureStates);
  const label = useStore(session, (s) => s.label);
  const saved = useStore(autosave, (a) => a.saved);
  const [name, setName] = useState<string | null>(null);
  const save = async () => {
    const { weighing } = state.getState().weighed;
    const report = weighing?.ok ? weighing.report : null;
    const done = await autosave.save(report?.massG ?? null, report?.balanceMm ?? null);
    if (done)
      notices.success({
        id: "saved",
        title: "Saved",
        description: "Changes are now measured from here.",
        duration: 2500,
      });
    else
      notices.error({
        id: "saved",
        title: "Not saved",
        description:
          "The browser did not take it. Changes are measured from here as long as this tab is open.",
      });
  };
  const rename = () => {
    const next = name?.trim();
    if (next) {
      edit("Rename", (d) => {
        d.name = next;
      });
    }
    setName(null);
  };

  useEffect(() => {
    const press = (e: KeyboardEvent) => {
      if (!(e.ctrlKey || e.metaKey) || e.altKey) return;
      const key = e.key.toLowerCase();
      if (key === "s") void save();
      else if (key === "z" && !e.shiftKey) session.undo();
      else if (key === "y" || (key === "z" && e.shiftKey)) session.redo();
      else return;
      e.preventDefault();
    };
    window.addEventListener("keydown", press);
    return () => window.removeEventListener("keydown", press);
  });

  const undoWord = pastStates.length > 0 ? `Undo: ${label || "change"}` : "Nothing to undo";
  const redoWord =
    futureStates.length > 0
      ? `Redo: ${futureStates[futureStates.length - 1].label || "change"}`
      : "Nothing to redo";
  return (
    <Flex align="center" gap={{ base: "1", xl: "3" }} minW="0">
      <Input
        size="sm"
        w="150px"
        minW="84px"
        fontWeight="600"
        variant="flushed"
        aria-label="Name of the knife"
        maxLength={80}
        value={name ?? kept}
        onChange={(e) => setName(e.target.value)}
        onBlur={rename}
        onKeyDown={(e) => {
          if (e.key === "Enter") e.currentTarget.blur();
          if (e.key === "Escape") setName(null);
        }}
      />
      <HStack gap="0">
        <IconButton
          size="sm"
          variant="ghost"
          aria-label={undoWord}
          title={`${undoWord} (Ctrl+Z)`}
          disabled={pastStates.length === 0}
          onClick={session.undo}
        >
          <Undo2 />
        </IconButton>
        <IconButton
          size="sm"
          variant="ghost"
          aria-label={redoWord}
          title={`${redoWord} (Ctrl+Y)`}
          disabled={futureStates.length === 0}
          onClick={session.redo}
        >
          <Redo2 />
        </IconButton>
      </HStack>
      <Button
        size="sm"
        variant="outline"
        px={{ base: "2", xl: "3.5" }}
        aria-label="Save"
        title="Measure changes from here (Ctrl+S)"
        onClick={() => void save()}
      >
        <Save />
        <Text as="span" hideBelow="xl">
          Save
        </Text>
      </Button>
      {saved && changed && (
        <IconButton
          size="sm"
          variant="ghost"
          aria-label="Back to the saved state"
          title="Back to the saved state; can be undone"
          onClick={() => session.getState().adopt("Back to the saved state", saved.design)}
        >
          <RotateCcw />
        </IconButton>
      )}
      <IconButton
        size="sm"
        variant="ghost"
        aria-label="Export file"
        title="Export file"
        onClick={() => void exportKnife(knifeId, session.getState().design)}
      >
        <FileUp />
      </IconButton>
      <Kept />
    </Flex>
  );
}

/** Whether the knife is other than it was saved. */
function useChanged(): boolean {
  const { autosave } = useBench();
  const saved = useStore(autosave, (a) => a.saved?.design);
  return useDesign((d) => saved !== undefined && d !== saved);
}

/** Whether the last change is written. */
function Kept() {
  const { autosave } = useBench();
  const status = useStore(autosave, (a) => a.status);
  return (
    <Text
      fontSize="sm"
      hideBelow={status === "kept" || status === "keeping" ? "xl" : undefined}
      color={status === "kept" || status === "keeping" ? "graphite" : "fault"}
      truncate
      title={status === "kept" ? "Kept in this browser" : undefined}
      data-testid="kept"
    >
      {KEPT_WORDS[status]}
    </Text>
  );
}
