"use client";
import { Textarea, type TextareaProps } from "@chakra-ui/react";
import { useState } from "react";

interface KeptNoteProps extends Omit<TextareaProps, "value" | "onChange" | "onBlur"> {
  readonly text: string;
  readonly onKeep: (text: string) => void;
}

/** Lines of text that are kept when the field is left. */
export function KeptNote({ text, onKeep, ...field }: KeptNoteProps) {
  const [typed, setTyped] = useState<string | null>(null);
  return (
    <Textarea
      size="sm"
      bg="ground"
      rows={2}
      {...field}
      value={typed ?? text}
      onChange={(e) => setTyped(e.target.value)}
      onBlur={() => {
        if (typed !== null && typed !== text) onKeep(typed);
        setTyped(null);
      }}
    />
  );
}
