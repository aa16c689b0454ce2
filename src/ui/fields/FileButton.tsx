"use client";
import { Button, type ButtonProps } from "@chakra-ui/react";
import { useRef } from "react";
import { attempt } from "../kit/notice";

interface FileButtonProps extends Omit<ButtonProps, "onClick"> {
  /** Endings and types that are offered. */
  readonly accept: string;
  readonly multiple?: boolean;
  readonly testId: string;
  /** What is said where the files cannot be read at all. */
  readonly failure: string;
  readonly onFiles: (files: readonly File[]) => Promise<unknown>;
}

/** Lets the maker choose files; the same one can be chosen again. */
export function FileButton({ accept, multiple, testId, failure, onFiles, ...button }: FileButtonProps) {
  const input = useRef<HTMLInputElement>(null);
  return (
    <>
      <input
        ref={input}
        type="file"
        accept={accept}
        multiple={multiple}
        hidden
        data-testid={testId}
        onChange={(e) => {
          const files = [...(e.target.files ?? [])];
          e.target.value = "";
          if (files.length > 0) void attempt(failure, () => onFiles(files));
        }}
      />
      <Button variant="outline" {...button} onClick={() => input.current?.click()} />
    </>
  );
}
