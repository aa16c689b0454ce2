"use client";
import { lengthwiseOf } from "@/core/knife/design/handleParts";
import { newLengthwise } from "@/core/knife/layout/handleStarts";
import { LengthAt, MaterialAt, TickAt } from "../../bound/bound";
import { FOR_LINERS, FOR_SCALES } from "../../bound/MaterialField";
import { useBench, useDesign } from "../../session/BenchContext";
import { Group } from "./Group";
import { PointList } from "./PointList";

/** A joint along the handle: one material above it, another below. */
export function LengthwiseFields() {
  const { session } = useBench();
  const joint = useDesign(({ handle }) => lengthwiseOf(handle));
  const at = "handle.lengthwise" as const;
  return (
    <Group title="Joint along the handle">
      <TickAt at={at} make={() => newLengthwise(session.getState().design)} />
      {joint && (
        <>
          <MaterialAt at={`${at}.material`} classes={FOR_SCALES} />
          <PointList at={`${at}.points`} prefix="lengthwise" closed={false} least={2} most={12} />
          <TickAt at={`${at}.divider`} make={() => ({ material: "brass-260", thicknessMm: 1 })} />
          {joint.divider && (
            <>
              <LengthAt at={`${at}.divider.thicknessMm`} />
              <MaterialAt at={`${at}.divider.material`} classes={FOR_LINERS} />
            </>
          )}
        </>
      )}
    </Group>
  );
}
