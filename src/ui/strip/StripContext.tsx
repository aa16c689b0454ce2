"use client";
import { createContext, type ReactNode, useContext, useMemo, useState } from "react";
import type { PartWeight } from "@/core/figures/weigh/report";
import type { PartGroup } from "@/core/knife/parts/types";

/** What is pointed at on a strip: a part, or a whole group. */
export type Picked =
  | { readonly kind: "part"; readonly id: string }
  | { readonly kind: "group"; readonly group: PartGroup };

interface StripState {
  readonly picked: Picked | null;
  readonly pick: (to: Picked | null) => void;
}

const Context = createContext<StripState>({ picked: null, pick: () => undefined });

/** What is pointed at, shared by a strip and its key without drawing anything else again. */
export function StripProvider({ children }: { children: ReactNode }) {
  const [picked, pick] = useState<Picked | null>(null);
  const value = useMemo(() => ({ picked, pick }), [picked]);
  return <Context.Provider value={value}>{children}</Context.Provider>;
}

export function useStrip(): StripState {
  return useContext(Context);
}

/** Whether a part is pointed at, by itself or with its group. */
export function isPicked(picked: Picked | null, part: PartWeight): boolean {
  return picked?.kind === "part" ? picked.id === part.id : picked?.group === part.group;
}
