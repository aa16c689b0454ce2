"use client";
import { useEffect, useMemo, useState } from "react";
import { own } from "@/core/base/own";
import { withGuardOutline } from "@/core/exchange/pattern/applyGuard";
import type { PlacedHole } from "@/core/exchange/pattern/applyHoles";
import type { OutlineFit, OutlineRole } from "@/core/exchange/pattern/applyOutline";
import {
  type FoundCircle,
  type FoundOutline,
  type FoundShapes,
  likelyOutline,
} from "@/core/exchange/pattern/found";
import type { Placing } from "@/core/exchange/pattern/placing";
import { circlesIn, isInside, likelyPlacing, type Traced, traced } from "@/core/exchange/pattern/trace";
import type { Design } from "@/core/knife/design/schema";

export type Role = OutlineRole | "guard";
export type HoleUse = Exclude<PlacedHole["as"], null> | "auto" | "none";

/** What is being made of a pattern: which outline, what it is, how it lies, which holes go with it. */
export interface Assigned {
  readonly outline: FoundOutline | null;
  readonly role: Role;
  readonly placing: Placing;
  readonly withinMm: number;
  readonly circles: readonly FoundCircle[];
  readonly purposeOf: (circle: FoundCircle) => HoleUse;
  /** The knife with it; null where nothing is picked. */
  readonly answer: Traced | { readonly ok: false; readonly code: "no-guard" } | null;
  readonly pick: (id: string) => void;
  readonly setRole: (role: Role) => void;
  readonly setPlacing: (placing: Placing) => void;
  readonly setWithin: (mm: number) => void;
  readonly setUse: (circle: FoundCircle, use: HoleUse) => void;
}

/**
 * Follows the maker's choices; each new source (a file, a unit, a photo at its size), outline or role begins from what is
 * likely, and shapes that are found anew in the same source keep what was chosen.
 */
export function useAssigned(
  design: Design,
  source: object | null,
  found: FoundShapes | null,
  fit: OutlineFit,
): Assigned {
  const outlines = useMemo(() => (found?.shapes ?? []).filter((s) => s.kind === "outline"), [found]);
  const all = useMemo(() => (found?.shapes ?? []).filter((s) => s.kind === "circle"), [found]);
  const [picked, setPicked] = useState<string | null>(null);
  const [role, setRole] = useState<Role>("blank");
  const [placed, setPlacing] = useState<Placing | null>(null);
  const [within, setWithin] = useState<number | null>(null);
  const withinMm = within ?? fit.withinMm;
  const [uses, setUses] = useState<Readonly<Record<string, HoleUse>>>({});
  const outline = outlines.find((o) => o.id === picked) ?? likelyOutline(found?.shapes ?? []);
  // biome-ignore lint/correctness/useExhaustiveDependencies: another source, outline or role lies anew.
  useEffect(() => {
    setPlacing(null);
    setUses({});
  }, [source, outline?.id, role]);
  const proposed = useMemo(
    () =>
      outline && role !== "guard"
        ? likelyPlacing(design, outline, role, fit.laid)
        : { datum: { x: 0, y: 0 }, tipDeg: 0, mirrored: false },
    [design, outline, role, fit.laid],
  );
  const placing = placed ?? proposed;
  const circles = useMemo(
    () => (outline && role !== "blade" && role !== "guard" ? circlesIn(outline, all) : []),
    [outline, all, role],
  );
  const answer = useMemo((): Assigned["answer"] => {
    if (!outline) return null;
    if (role === "guard") {
      const slot = outlines.find((o) => o !== outline && o.points.every((p) => isInside(outline.points, p)));
      const made = withGuardOutline(design, outline.points, slot?.points ?? null, fit.laid);
      return made.ok ? { ...made, used: [outline.id, ...(slot ? [slot.id] : [])] } : made;
    }
    const holes = circles.flatMap((circle) => {
      const use = own(uses, circle.id) ?? "auto";
      return use === "none" ? [] : [{ circle, as: use === "auto" ? null : use }];
    });
    return traced(design, { outline, as: role, placing, holes }, { ...fit, withinMm });
  }, [design, outline, outlines, role, placing, circles, uses, withinMm, fit]);
  return {
    outline,
    role,
    placing,
    withinMm,
    circles,
    purposeOf: (circle) => own(uses, circle.id) ?? "auto",
    answer,
    pick: setPicked,
    setRole,
    setPlacing,
    setWithin,
    setUse: (circle, use) => setUses({ ...uses, [circle.id]: use }),
  };
}
