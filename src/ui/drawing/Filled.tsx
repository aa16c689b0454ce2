import { useMaterialOf } from "../kit/materials";
import { color } from "../kit/theme";
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
  const materialOf = useMaterialOf();
  const found = materialOf(material);
  const tint = found?.tint ?? color("rule");
  const share = found?.class === "steel" ? 35 : 75;
  return (
    <g fillRule="evenodd">
      <path
        d={d}
        fill={opaque ? `color-mix(in srgb, ${tint} ${share}%, ${color("ground")})` : tint}
        fillOpacity={opaque ? 1 : share / 100}
        stroke={color("ink")}
        strokeWidth={line}
        strokeLinejoin="round"
      />
      {found && <path d={d} fill={`url(#${hatchId(found.class)})`} />}
    </g>
  );
}
