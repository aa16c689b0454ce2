"use client";
import { LengthAt, ShareAt, TickAt, useAt } from "../../bound/bound";

/** Whether a part is printed, and how full. */
export function PrintedFields({ at }: { at: `${"guard.plates" | "handle.pieces"}.${number}.printed` }) {
  const [printed] = useAt<object | null>(at);
  return (
    <>
      <TickAt at={at} make={() => ({ infillShare: 0.3, wallMm: 1.2 })} />
      {printed && (
        <>
          <LengthAt at={`${at}.wallMm`} help="Number of walls times the width of one." />
          <ShareAt at={`${at}.infillShare`} />
        </>
      )}
    </>
  );
}
