import { materialById } from "@/core/stock/materials";
import { color } from "../theme";
import { hatchId } from "./Hatches";

/** A shape in a material: its tint, its class's hatching, and an ink line round it. */
export function Filled({ d, material, line = 1 }: { d: string; material: string; line?: number }) {
  const found = materialById(material);
  return (
    <>
      <path d={d} fill={found?.tint ?? color("rule")} fillOpacity={found?.class === "steel" ? 0.35 : 0.75} />
      {found && <path d={d} fill={`url(#${hatchId(found.class)})`} />}
      <path d={d} fill="none" stroke={color("ink")} strokeWidth={line} strokeLinejoin="round" />
    </>
  );
}
