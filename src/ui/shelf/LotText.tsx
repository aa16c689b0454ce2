"use client";
import { Input } from "@chakra-ui/react";
import { useState } from "react";
import { FieldRow } from "../fields/FieldRow";

/** One line of text of a lot, kept on Enter or when it is left. */
export function LotText(props: {
  label: string;
  value: string;
  most: number;
  needed?: true;
  onKeep: (text: string) => void;
}) {
  const [typed, setTyped] = useState<string | null>(null);
  const wrong = props.needed && typed !== null && typed.trim() === "" ? "It needs a name." : null;
  const keep = () => {
    if (typed !== null && !wrong && typed !== props.value) props.onKeep(typed.trim());
    setTyped(null);
  };
  return (
    <FieldRow label={props.label} wide wrong={wrong}>
      <Input
        size="sm"
        bg="ground"
        maxLength={props.most}
        value={typed ?? props.value}
        onChange={(e) => setTyped(e.target.value)}
        onBlur={keep}
        onKeyDown={(e) => e.key === "Enter" && keep()}
      />
    </FieldRow>
  );
}
