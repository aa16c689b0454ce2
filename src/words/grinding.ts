import type { HollowTool } from "@/core/figures/fit/grinding";

/** What a hollow is of. */
export const HOLLOW_WORDS: Readonly<Record<HollowTool["of"], string>> = {
  waist: "Waist of the handle",
  groove: "Groove across the handle",
  outline: "Handle's edge",
  notch: "Notch in the edge",
  fuller: "Fuller",
};

/** The tool for a hollow: "wheel of 50 mm". */
export const hollowToolWords = (tool: HollowTool["tool"], length: (mm: number) => string): string =>
  tool === null
    ? "none that is there fits"
    : `${tool.kind === "wheel" ? "wheel" : "round file"} of ${length(tool.diameterMm)}`;
