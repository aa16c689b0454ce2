"use client";
import { Input, type InputProps } from "@chakra-ui/react";
import { useState } from "react";

interface NameFieldProps extends Omit<InputProps, "value" | "onChange" | "onBlur" | "onKeyDown"> {
  readonly name: string;
  readonly onKeep: (name: string) => void;
}

/** A name, kept when its field is left; what has no letters leaves the old one. */
export function NameField({ name, onKeep, ...field }: NameFieldProps) {
  const [typed, setTyped] = useState<string | null>(null);
  const wrong = typed !== null && typed.trim() === "";
  const keep = () => {
    if (typed !== null && !wrong && typed.trim() !== name) onKeep(typed.trim());
    setTyped(null);
  };
  return (
    <Input
      fontWeight="600"
      placeholder="A name is needed"
      {...field}
      aria-invalid={wrong}
      value={typed ?? name}
      onChange={(e) => setTyped(e.target.value)}
      onBlur={keep}
      onKeyDown={(e) => {
        if (e.key === "Enter") e.currentTarget.blur();
        if (e.key === "Escape") setTyped(null);
      }}
    />
  );
}
