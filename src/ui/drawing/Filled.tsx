import { materialById } from "@/core/stock/materials";
import { color } from "../theme";
import { hatchId } from "./Hatches";

interface FilledProps {
  readonly d: string;
  readonly material: string;
  readonly line?: number;
  /** Hides what lies behind it: where shapes are drawn over each other. */
  readonly opaque?: boolean;
}

/** A shape in a material: its tint, its class's hatching, and an ink line round it. Loops within loops are holes. */
export function Filled({ d, material, line = 1, opaque }: FilledProps) {
  const found = materialById(material);
  return (
    <g fillRule="evenodd">
      {opaque && <path d={d} fill={color("ground")} />}
      <path d={d} fill={found?.tint ?? color("rule")} fillOpacity={found?.class === "steel" ? 0.35 : 0.75} />
      {found && <path d={d} fill={`url(#${hatchId(found.class)})`} />}
      <path d={d} fill="none" stroke={color("ink")} strokeWidth={line} strokeLinejoin="round" />
    </g>
  );
}
