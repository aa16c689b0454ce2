import { Box } from "@chakra-ui/react";
import { lengthUnitName } from "@/core/base/units/print";
import { useSettings } from "@/store/settings";
import { Ruler } from "../drawing/Ruler";
import type { Reach } from "./useReach";

/** The one scale under all knives, measured from the datum. */
export function RackRuler({ reach: { behindMm, aheadMm, pxPerMm, drawingPx } }: { reach: Reach }) {
  const { units } = useSettings();
  return (
    <Box pb="1">
      <svg
        width={drawingPx}
        height="30"
        role="img"
        aria-label={`Scale in ${lengthUnitName(units)} from the front of the guard or handle`}
      >
        <Ruler
          scale={{ pxPerMm, originX: 12 + behindMm * pxPerMm, originY: 0 }}
          y={4}
          fromMm={-behindMm}
          toMm={aheadMm}
          units={units}
        />
      </svg>
    </Box>
  );
}
