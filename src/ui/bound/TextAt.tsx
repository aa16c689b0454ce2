"use client";
import { Input } from "@chakra-ui/react";
import { useState } from "react";
import type { FixedPath } from "@/core/edit/fixed/edits";
import { mostAt } from "@/core/knife/design/limits";
import { fieldName } from "@/words/fields";
import { FieldRow } from "../fields/FieldRow";
import { useDesign } from "../session/BenchContext";
import { useAt } from "./bound";

/** A text that may not be empty, kept when its field is left or Enter is pressed; Escape gives it up. */
export function TextAt({ at, name }: { at: FixedPath<string>; name: string }) {
  const [kept, put] = useAt<string>(at);
  const label = useDesign((d) => fieldName(at, d));
  const most = useDesign((d) => mostAt(d, at)) ?? undefined;
  const [typed, setTyped] = useState<string | null>(null);
  const [wrong, setWrong] = useState<string | null>(null);
  const leave = () => {
    if (typed === null) return;
    const text = typed.trim();
    if (!text) return setWrong("It needs a name.");
    if (text !== kept) put(text);
    setTyped(null);
    setWrong(null);
  };
  return (
    <FieldRow label={label} wrong={wrong}>
      <Input
        size="sm"
        bg="ground"
        aria-label={name}
        aria-invalid={wrong !== null}
        value={typed ?? kept}
        maxLength={most}
        onChange={(e) => setTyped(e.target.value)}
        onBlur={leave}
        onKeyDown={(e) => {
          if (e.key === "Enter") leave();
          if (e.key === "Escape") {
            setTyped(null);
            setWrong(null);
          }
        }}
      />
    </FieldRow>
  );
}
