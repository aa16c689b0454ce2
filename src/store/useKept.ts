"use client";
import { useLiveQuery } from "dexie-react-hooks";
import { ready } from "./storage";

/**
 * What a question to the database answers, kept up to date; undefined before it has answered, and where it fails. A
 * failing database takes no page down: that it fails is told by whoever writes to it, or by its opening.
 */
export function useKept<T>(question: () => Promise<T>, deps: unknown[]): T | undefined {
  return useLiveQuery(
    () =>
      ready()
        .then(question)
        .catch((error: unknown) => {
          console.error("the database could not be asked", error);
          return undefined;
        }),
    deps,
  );
}
