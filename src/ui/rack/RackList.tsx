"use client";
import { Box } from "@chakra-ui/react";
import { useWindowVirtualizer } from "@tanstack/react-virtual";
import { useEffect, useLayoutEffect, useRef, useState } from "react";
import { useStore } from "zustand";
import type { RackFigureStore } from "@/store/rackFigures";
import { useBeyond } from "../kit/useBeyond";
import { useWidth } from "../kit/useSize";
import { RULE_PX, rowHeight } from "./measures";
import { RackRow } from "./RackRow";
import { RackRuler } from "./RackRuler";
import { useGlance } from "./useGlance";
import { useReach } from "./useReach";

/** The rack in a wide window, until it is laid out, px. */
const USUAL_PX = 1190;

/** Rows drawn beyond those in sight. */
const BEYOND = 16;

/** The knives of the rack, drawn to one scale; only those in sight are read and drawn. */
export function RackList(props: {
  ids: readonly string[];
  /** Every knife there is: a search changes the scale of none. */
  all: readonly string[];
  figures: RackFigureStore;
}) {
  const { ids, all, figures } = props;
  const known = useStore(figures, (s) => s.known);
  useGlance(all, known);
  const [frame, width] = useWidth<HTMLDivElement>(USUAL_PX);
  const reach = useReach(all, known, width);
  const list = useRef<HTMLDivElement>(null);
  const [top, setTop] = useState(0);
  useLayoutEffect(() => setTop(list.current?.offsetTop ?? 0), []);
  const beyond = useBeyond(BEYOND);
  const rows = useWindowVirtualizer({
    count: ids.length,
    overscan: beyond,
    scrollMargin: top,
    getItemKey: (i) => ids[i],
    estimateSize: (i) => rowHeight(known.get(ids[i])?.extent ?? null, reach) + RULE_PX,
  });
  // Another scale makes every row another height.
  // biome-ignore lint/correctness/useExhaustiveDependencies: measured anew when the scale changes.
  useEffect(() => rows.measure(), [reach.pxPerMm]);
  const items = rows.getVirtualItems();
  const inSight = items.map((item) => ids[item.index]).join(" ");
  useEffect(() => figures.inSight(inSight.split(" ")), [figures, inSight]);
  const { isScrolling } = rows;
  useEffect(() => figures.rest(isScrolling), [figures, isScrolling]);

  return (
    <Box ref={frame} bg="sheet" borderWidth="1px" borderRadius="md">
      <div ref={list} style={{ height: rows.getTotalSize(), position: "relative" }}>
        {items.map((item) => (
          <div
            key={item.key}
            data-index={item.index}
            ref={rows.measureElement}
            style={{
              position: "absolute",
              insetInline: 0,
              transform: `translateY(${item.start - top}px)`,
            }}
          >
            <RackRow id={ids[item.index]} figures={figures} reach={reach} />
          </div>
        ))}
      </div>
      <RackRuler reach={reach} />
    </Box>
  );
}
