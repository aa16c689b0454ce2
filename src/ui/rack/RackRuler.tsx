import { Box } from "@chakra-ui/react";
import { lengthUnitName } from "@/core/base/units/print";
import { useSettings } from "@/store/settings";
import { Ruler } from "../drawing/Ruler";
import { RACK_DRAWING_PX } from "./measures";

/** The one scale under all knives, measured from the datum. */
export function RackRuler({
  behindMm,
  aheadMm,
  pxPerMm,
}: {
  behindMm: number;
  aheadMm: number;
  pxPerMm: number;
}) {
  const { units } = useSettings();
  return (
    <Box px="3" pb="1">
      <svg
        width={RACK_DRAWING_PX}
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
