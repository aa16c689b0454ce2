"use client";
import { createContext, useContext } from "react";

/** The item that what stands within belongs to, as it is called on screen; null of none. */
export const WhoseContext = createContext<string | null>(null);

/** What a control of a field is called: whose it is stands behind it, where several items have such a field. */
export function useNameWithWhose(name: string): string {
  const whose = useContext(WhoseContext);
  return whose ? `${name}, ${whose}` : name;
}
