import { Box } from "@chakra-ui/react";
import { memo } from "react";
import { GLANCE_ID } from "./glance";

/** What the page's own script puts there; nothing of it is drawn again. */
const OWN = { __html: "" };

/** The rack as it last stood, in a few words, until it is there itself: seen, and read to nobody, as it says nothing new. */
export const RackGlance = memo(function RackGlance() {
  return (
    <Box
      id={GLANCE_ID}
      aria-hidden="true"
      suppressHydrationWarning
      // biome-ignore lint/security/noDangerouslySetInnerHtml: nothing: the page puts its own words there as text
      dangerouslySetInnerHTML={OWN}
      css={{
        "& p": {
          display: "grid",
          gridTemplateColumns: "minmax(0, 1fr) 6em 16em",
          gap: "4",
          alignItems: "baseline",
          minHeight: "52px",
          px: "3",
          py: "3",
          bg: "sheet",
          borderBottomWidth: "1px",
          color: "graphite",
        },
        "& span:first-of-type": { fontWeight: "600", fontSize: "lg" },
        "& span:last-of-type": { color: "bronze", fontSize: "sm" },
        "@media (max-width: 700px)": { "& p": { gridTemplateColumns: "1fr", gap: "0" } },
      }}
    />
  );
});
