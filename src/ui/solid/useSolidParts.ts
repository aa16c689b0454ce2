"use client";
import { useEffect, useRef, useState } from "react";
import type { ProductDesign } from "@/core/knife/design/product";
import type { CutOpen, PartMesh } from "@/core/knife/kernel/partMeshes";
import { solids } from "@/workers/services";

/** A drag is followed when it rests this long, ms. */
const REST_MS = 180;

export interface SolidParts {
  readonly parts: readonly PartMesh[] | null;
  readonly working: boolean;
  readonly failure: string | null;
}

/** The knife's parts as meshes, made anew by the worker when the design or the cut changes and then rests. */
export function useSolidParts(design: ProductDesign | null, cut: CutOpen | null): SolidParts {
  const [state, setState] = useState<SolidParts>({ parts: null, working: true, failure: null });
  const asked = useRef(0);
  const axis = cut?.axis ?? null;
  const atMm = cut?.atMm ?? 0;
  useEffect(() => {
    if (!design) return;
    const mine = ++asked.current;
    const timer = setTimeout(async () => {
      setState((was) => ({ ...was, working: true }));
      const answer = await solids().ask((s) => s.parts(design, axis ? { axis, atMm } : null));
      // An answer that a newer question has overtaken is dropped.
      if (mine !== asked.current) return;
      if (answer.ok) setState({ parts: answer.value, working: false, failure: null });
      else setState((was) => ({ ...was, working: false, failure: answer.message }));
    }, REST_MS);
    return () => clearTimeout(timer);
  }, [design, axis, atMm]);
  return state;
}
