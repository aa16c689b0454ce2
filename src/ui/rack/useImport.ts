"use client";
import { useState } from "react";
import { bringIn } from "@/store/bringIn";
import { type IncomingKnife, incomingKnives } from "@/store/incoming";
import { freeName, takenNames } from "@/store/knives";
import { presentWorkshop } from "@/store/workshops";
import { byCount } from "@/words/grammar";
import { noticeBroughtIn } from "../files/bringTogether";
import { openKnifeFile } from "../files/files";
import type { RefusedFile } from "./RefusedFiles";
import { showAll } from "./useRackView";

export interface ImportState {
  readonly refused: readonly RefusedFile[];
  /** What is done now and how far it is; null while nothing is. */
  readonly working: { readonly says: string; readonly done: number } | null;
  readonly open: (files: readonly File[]) => Promise<void>;
  readonly clearRefused: () => void;
}

/** Imports knife files: all that can be read come in together, and go out again at one click. */
export function useImport(): ImportState {
  const [refused, setRefused] = useState<readonly RefusedFile[]>([]);
  const [working, setWorking] = useState<ImportState["working"]>(null);
  const open = async (files: readonly File[]) => {
    setRefused([]);
    const bad: RefusedFile[] = [];
    const knives: IncomingKnife[] = [];
    const taken = await takenNames();
    try {
      for (const [i, file] of files.entries()) {
        setWorking({ says: `Reading ${i + 1} of ${files.length}: ${file.name}`, done: i / files.length });
        const opened = await openKnifeFile(file);
        if (!opened.ok) bad.push(opened);
        else {
          const name = freeName(opened.design.name, taken);
          taken.push(name);
          knives.push({ design: { ...opened.design, name }, variants: opened.variants });
        }
      }
      if (knives.length === 0) return;
      const says = `Importing ${byCount(knives.length, "a knife", `${knives.length} knives`)}`;
      const brought = await bringIn(incomingKnives(knives, await presentWorkshop()), (done) =>
        setWorking({ says, done }),
      );
      showAll();
      const [first] = knives;
      const what = byCount(knives.length, `${first.design.name} is`, `${knives.length} knives are`);
      noticeBroughtIn(`${what} on the rack`, brought);
    } finally {
      setWorking(null);
      setRefused(bad);
    }
  };
  return { refused, working, open, clearRefused: () => setRefused([]) };
}
