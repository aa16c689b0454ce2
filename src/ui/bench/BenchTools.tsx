"use client";
import { Button, Flex, HStack, IconButton, Input, Text } from "@chakra-ui/react";
import { FileDown, FileUp, Flag, Redo2, RotateCcw, Undo2 } from "lucide-react";
import { useEffect, useEffectEvent, useState } from "react";
import { useStore } from "zustand";
import type { ProductDesign } from "@/core/knife/design/product";
import { exportKnife } from "../files/files";
import { notices } from "../kit/notice";
import { useBenchOf, useEditWords, useLastEdit, useProduct } from "../session/BenchContext";

const KEPT_WORDS = {
  kept: "Saved",
  keeping: "Saving …",
  conflict: "Not saved: changed in another tab",
  deleted: "Not saved: deleted in another tab",
  unreadable: "Not saved: changed in another tab",
  failed: "Not saved",
} as const;

const SIZE = { base: "xs", xl: "sm" } as const;

/** What can be done with the knife as a whole: name, undo, reference, export. */
export function BenchTools({ onPattern }: { onPattern: (() => void) | null }) {
  const { knifeId, session } = useBenchOf<ProductDesign>();
  useKeys();
  return (
    <Flex align="center" gap={{ base: "1", xl: "3" }} minW="0" wrap={{ base: "wrap", lg: "nowrap" }}>
      <NameField />
      <UndoButtons />
      <ReferenceButtons />
      {onPattern && (
        <IconButton
          size={SIZE}
          variant="ghost"
          aria-label="Bring in a pattern"
          title="Bring in a pattern: outlines and holes of a drawing"
          onClick={onPattern}
        >
          <FileDown />
        </IconButton>
      )}
      <IconButton
        size={SIZE}
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

/** Undo, redo and "save" by their keys. */
function useKeys(): void {
  const { session, autosave } = useBenchOf<ProductDesign>();
  const save = async () => {
    if (await autosave.flush())
      notices.success({
        id: "saved",
        title: "Saved",
        description: "Every change is saved by itself.",
        duration: 2500,
      });
    else notices.error({ id: "saved", title: "Not saved", description: "The browser did not take it." });
  };
  const press = useEffectEvent((e: KeyboardEvent) => {
    if (!(e.ctrlKey || e.metaKey) || e.altKey) return;
    const key = e.key.toLowerCase();
    if (key === "s") void save();
    else if (key === "z" && !e.shiftKey) session.undo();
    else if (key === "y" || (key === "z" && e.shiftKey)) session.redo();
    else return;
    e.preventDefault();
  });
  useEffect(() => {
    const heard = (e: KeyboardEvent) => press(e);
    window.addEventListener("keydown", heard);
    return () => window.removeEventListener("keydown", heard);
  }, []);
}

function NameField() {
  const { edit } = useBenchOf<ProductDesign>();
  const kept = useProduct((d) => d.name);
  const [name, setName] = useState<string | null>(null);
  const rename = () => {
    const next = name?.trim();
    if (next) edit({ code: "set", path: "name", to: next });
    setName(null);
  };
  return (
    <Input
      size="sm"
      w="130px"
      minW="84px"
      fontWeight="600"
      variant="flushed"
      aria-label="Name of the knife"
      title={name ?? kept}
      maxLength={80}
      value={name ?? kept}
      onChange={(e) => setName(e.target.value)}
      onBlur={rename}
      onKeyDown={(e) => {
        if (e.key === "Enter") e.currentTarget.blur();
        if (e.key === "Escape") setName(null);
      }}
    />
  );
}

function UndoButtons() {
  const { session } = useBenchOf<ProductDesign>();
  // Only these: tracking is paused and taken up again at every step of a drag.
  const pastStates = useStore(session.temporal, (t) => t.pastStates);
  const futureStates = useStore(session.temporal, (t) => t.futureStates);
  const last = useLastEdit();
  const editWords = useEditWords();
  const undoWord = pastStates.length > 0 ? `Undo: ${last}` : "Nothing to undo";
  const redoWord =
    futureStates.length > 0
      ? `Redo: ${editWords(futureStates[futureStates.length - 1].last)}`
      : "Nothing to redo";
  return (
    <HStack gap="0">
      <IconButton
        size={SIZE}
        variant="ghost"
        aria-label={undoWord}
        title={`${undoWord} (Ctrl+Z)`}
        disabled={pastStates.length === 0}
        onClick={session.undo}
      >
        <Undo2 />
      </IconButton>
      <IconButton
        size={SIZE}
        variant="ghost"
        aria-label={redoWord}
        title={`${redoWord} (Ctrl+Y)`}
        disabled={futureStates.length === 0}
        onClick={session.redo}
      >
        <Redo2 />
      </IconButton>
    </HStack>
  );
}

/** Keeps the knife as it is now to measure changes from, and goes back to what was kept so. */
function ReferenceButtons() {
  const { autosave, state, edit } = useBenchOf<ProductDesign>();
  const changed = useChanged();
  const reference = useStore(autosave, (a) => a.reference);
  const setReference = async () => {
    const { weighing } = state.getState().weighed;
    const report = weighing?.ok ? weighing.report : null;
    const done = await autosave.setReference(report?.massG ?? null, report?.balanceMm ?? null);
    if (done)
      notices.success({
        id: "reference",
        title: "This is the reference now",
        description: "Changes of weight and balance are measured from here.",
        duration: 2500,
      });
    else
      notices.error({
        id: "reference",
        title: "The reference is not saved",
        description:
          "The browser did not take it. Changes are measured from here as long as this tab is open.",
      });
  };
  return (
    <>
      <Button
        size={SIZE}
        variant="outline"
        px={{ base: "2", "2xl": "3.5" }}
        aria-label="Set reference"
        title="Set reference: measure changes of weight and balance from here"
        onClick={() => void setReference()}
      >
        <Flag />
        <Text as="span" hideBelow="2xl">
          Set reference
        </Text>
      </Button>
      {reference && changed && (
        <IconButton
          size={SIZE}
          variant="ghost"
          aria-label="Back to the reference"
          title="Back to the reference; can be undone"
          onClick={() => edit({ code: "take-reference", design: reference.design })}
        >
          <RotateCcw />
        </IconButton>
      )}
    </>
  );
}

/** Whether the knife is other than its reference. */
function useChanged(): boolean {
  const { autosave } = useBenchOf<ProductDesign>();
  const reference = useStore(autosave, (a) => a.reference?.design);
  return useProduct((d) => reference !== undefined && d !== reference);
}

/** Whether the last change is written. */
function Kept() {
  const { autosave } = useBenchOf<ProductDesign>();
  const status = useStore(autosave, (a) => a.status);
  return (
    <Text
      fontSize="sm"
      hideBelow={status === "kept" || status === "keeping" ? "xl" : undefined}
      color={status === "kept" || status === "keeping" ? "graphite" : "fault"}
      flexShrink="0"
      whiteSpace="nowrap"
      title={status === "kept" ? "Every change is saved in this browser by itself" : undefined}
      data-testid="kept"
    >
      {KEPT_WORDS[status]}
    </Text>
  );
}
