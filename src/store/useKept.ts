"use client";
import { useLiveQuery } from "dexie-react-hooks";
import { useEffect } from "react";
import { useStore } from "zustand";
import { ready, storage } from "./storage";

/**
 * What a question to the database answers, kept up to date; undefined before it has answered, and where it fails. A
 * failing database takes no page down: that it fails is reported by whoever writes to it, or by its opening. The question
 * asks the database before it waits for anything else: what it asked after that would not be followed.
 */
export function useKept<T>(question: () => Promise<T>, deps: unknown[]): T | undefined {
  const state = useStore(storage, (s) => s.state);
  // What waits in memory is part of every answer: asked again when something waits, or is written at last.
  const waiting = useStore(storage, (s) => s.waiting);
  useEffect(() => {
    void ready();
  }, []);
  return useLiveQuery(() => {
    if (state === "opening") return undefined;
    return question().catch((error: unknown) => {
      console.error("the database could not be asked", error);
      return undefined;
    });
  }, [state, waiting, ...deps]);
}
