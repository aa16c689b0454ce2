"use client";
import { LengthAt, ShareAt, TickAt, useAt } from "../../fields/bound";

/** Whether a part is printed, and how full. */
export function PrintedFields({ at }: { at: string }) {
  const [printed] = useAt<object | null>(at, "Printed");
  return (
    <>
      <TickAt at={at} label="Printed, not solid" make={() => ({ infillShare: 0.3, wallMm: 1.2 })} />
      {printed && (
        <>
          <LengthAt at={`${at}.wallMm`} label="Solid wall" help="Number of walls times the width of one." />
          <ShareAt at={`${at}.infillShare`} label="Infill" />
        </>
      )}
    </>
  );
}
