"use client";
import { type KeyboardEvent, memo, useRef, useState } from "react";
import { type PartRef, pickable } from "@/core/figures/review/partRefs";
import { boxOf, straightLoop } from "@/core/geometry/contours/loop";
import type { Design } from "@/core/knife/design/schema";
import { itemNames } from "@/core/knife/shapes/itemNames";
import { itemWords } from "@/words/fasteners";
import { partName } from "@/words/parts";
import { chordPath, type Scale } from "../drawing/path";
import { color } from "../kit/theme";
import { useBench } from "../session/BenchContext";

interface PickProps {
  readonly design: Design;
  readonly scale: Scale;
  readonly onPick: (partRef: PartRef) => void;
}

/** What a part that can be picked is called: a fastener or a hole as a whole, not by its pieces. */
function nameOf(design: Design, { partRef, key }: ReturnType<typeof pickable>[number]): string {
  const item = itemNames(design).get(partRef.slice(partRef.indexOf(":") + 1));
  return item && key.kind === item.kind ? itemWords(item) : partName(key).replace(/, (right|left)$/, "");
}

/** A finger meets what is so large, px. */
const TOUCHED_PX = 24;

/** How wide a border makes a part as large as a finger; 0 of one that is. */
function touchBorderPx(loops: ReturnType<typeof pickable>[number]["loops"], { pxPerMm }: Scale): number {
  const box = boxOf(loops.map((loop) => straightLoop(loop)));
  if (!box) return 0;
  const least = Math.min(box.x1 - box.x0, box.y1 - box.y0) * pxPerMm;
  return Math.max(0, TOUCHED_PX - least);
}

/**
 * The parts of a side view, to be picked: one stop for the Tab key, arrow keys go from part to part, front to butt. Pointed
 * at, a part is marked, and with it whatever refers to it.
 */
export const PickTargets = memo(function PickTargets({ design, scale, onPick }: PickProps) {
  const { setHighlight } = useBench();
  const group = useRef<SVGGElement>(null);
  const targets = pickable(design);
  const front = (o: (typeof targets)[number]) => Math.max(...o.loops.flatMap((l) => l.map((p) => p.x)));
  const order = [...targets].sort((a, b) => front(b) - front(a)).map((o) => o.partRef);
  const [here, setHere] = useState<PartRef | null>(null);
  const stop = here && order.includes(here) ? here : order[0];
  const keys = (e: KeyboardEvent, partRef: PartRef) => {
    const at = order.indexOf(partRef);
    const to = { ArrowLeft: at + 1, ArrowDown: at + 1, ArrowRight: at - 1, ArrowUp: at - 1 }[e.key];
    if (e.key === "Enter" || e.key === " ") onPick(partRef);
    else if (e.key === "Home") go(order[0]);
    else if (e.key === "End") go(order[order.length - 1]);
    else if (to !== undefined) go(order[to]);
    else return;
    e.preventDefault();
  };
  const go = (partRef: PartRef | undefined) =>
    group.current?.querySelector<SVGElement>(`[data-pick="${partRef}"]`)?.focus();
  return (
    // biome-ignore lint/a11y/useSemanticElements: parts of a drawing are no field set
    // biome-ignore lint/a11y/noInteractiveElementToNoninteractiveRole: nothing answers here but the parts
    <g ref={group} role="group" aria-label="Parts, to go to what is said of them">
      {targets.map((o) => (
        // biome-ignore lint/a11y/useSemanticElements: a drawing has no buttons of its own
        <path
          key={o.partRef}
          className="pick-target"
          d={o.loops.map((l) => chordPath(l, scale)).join("")}
          stroke="transparent"
          strokeWidth={touchBorderPx(o.loops, scale)}
          fill={color("ink")}
          fillOpacity="0"
          fillRule="evenodd"
          role="button"
          tabIndex={o.partRef === stop ? 0 : -1}
          aria-label={nameOf(design, o)}
          data-pick={o.partRef}
          onPointerEnter={() => setHighlight("pointer", { partRefs: [o.partRef], at: null, onDrawing: true })}
          onPointerLeave={() => setHighlight("pointer", null)}
          onFocus={() => {
            setHere(o.partRef);
            setHighlight("focus", { partRefs: [o.partRef], at: null, onDrawing: true });
          }}
          onBlur={() => setHighlight("focus", null)}
          onClick={() => onPick(o.partRef)}
          onKeyDown={(e) => keys(e, o.partRef)}
        >
          <title>{nameOf(design, o)}</title>
        </path>
      ))}
    </g>
  );
});
