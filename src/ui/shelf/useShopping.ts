"use client";
import { useMemo, useState } from "react";
import { today } from "@/core/knife/design/job";
import type { ProductDesign } from "@/core/knife/design/product";
import { USUAL_SCHOOLS } from "@/core/plan/types";
import type { Forging } from "@/core/shelf/needs";
import { type ShoppingList, USUAL_SHOPPING } from "@/core/shelf/shopping";
import type { Lot } from "@/core/shelf/version";
import { readableKnives } from "@/store/knives";
import { usePlans } from "@/store/plans";
import { useKept } from "@/store/useKept";
import { useWorkerQuery } from "../kit/useWorkerQuery";

const NONE: readonly Lot[] = [];

export interface Shopping {
  /** Every knife that can be shopped for: those in work and planned first. */
  readonly knives: readonly { readonly id: string; readonly design: ProductDesign }[];
  readonly chosen: ReadonlySet<string>;
  readonly choose: (id: string, on: boolean) => void;
  readonly spares: boolean;
  readonly setSpares: (on: boolean) => void;
  readonly forged: Forging | null;
  readonly setForged: (to: Forging | null) => void;
  readonly list: ShoppingList | null;
  readonly isLoading: boolean;
  readonly failed: boolean;
}

/** What has to be bought for the knives that are chosen; for those that are made of a lot what they reserve. */
export function useShopping(lots: readonly Lot[] | null): Shopping {
  const all = useKept(readableKnives, []);
  const plans = usePlans();
  const [picked, setPicked] = useState<ReadonlyMap<string, boolean>>(new Map());
  const [spares, setSpares] = useState(false);
  const [forged, setForged] = useState<Forging | null>(null);
  const knives = useMemo(() => (all ?? []).filter((k) => k.design.job.state !== "gone"), [all]);
  // What is in work is on the list unless it is taken off.
  const chosen = useMemo(
    () =>
      new Set(knives.filter((k) => picked.get(k.id) ?? k.design.job.state === "in-work").map((k) => k.id)),
    [knives, picked],
  );
  const about = useMemo(() => {
    const of = knives.filter((k) => chosen.has(k.id));
    return of.length === 0
      ? null
      : {
          knives: of.flatMap((k) => {
            const plan = plans?.get(k.id);
            const pieces = plan?.pieces ?? 1;
            const schools = plan?.schools ?? USUAL_SCHOOLS;
            return Array.from({ length: pieces }, (_, n) => ({
              design:
                pieces > 1 ? { ...k.design, name: `${k.design.name}, ${n + 1} of ${pieces}` } : k.design,
              schools,
              forged,
            }));
          }),
          lots: lots ?? NONE,
          options: { ...USUAL_SHOPPING, spares, day: today() },
        };
  }, [knives, chosen, lots, plans, spares, forged]);
  const { answer, isLoading, failed } = useWorkerQuery(about, (s, a) =>
    s.shopping(a.knives, a.lots, a.options),
  );
  return {
    knives,
    chosen,
    choose: (id, on) => setPicked((p) => new Map(p).set(id, on)),
    spares,
    setSpares,
    forged,
    setForged,
    list: about && answer,
    isLoading,
    failed,
  };
}
