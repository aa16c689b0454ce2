import { createSystem, defineConfig } from "@chakra-ui/react";
import { defaultBaseConfig } from "@chakra-ui/react/preset-base";
import {
  alertSlotRecipe,
  animationStyles,
  breakpoints,
  buttonRecipe,
  checkboxSlotRecipe,
  checkmarkRecipe,
  comboboxSlotRecipe,
  cssVarsPrefix,
  cssVarsRoot,
  dialogSlotRecipe,
  editableSlotRecipe,
  fieldSlotRecipe,
  globalCss,
  headingRecipe,
  iconRecipe,
  inputRecipe,
  keyframes,
  layerStyles,
  linkRecipe,
  listSlotRecipe,
  nativeSelectSlotRecipe,
  progressSlotRecipe,
  semanticTokens,
  spinnerRecipe,
  tableSlotRecipe,
  tabsSlotRecipe,
  textareaRecipe,
  textStyles,
  toastSlotRecipe,
  tokens,
} from "@chakra-ui/react/theme";

/** The library's look for the components that are used here, and no others: a page waits for all of them. */
const used = defineConfig({
  preflight: true,
  cssVarsPrefix,
  cssVarsRoot,
  globalCss,
  theme: {
    breakpoints,
    keyframes,
    tokens,
    semanticTokens,
    textStyles,
    layerStyles,
    animationStyles,
    recipes: {
      button: buttonRecipe,
      checkmark: checkmarkRecipe,
      heading: headingRecipe,
      icon: iconRecipe,
      input: inputRecipe,
      link: linkRecipe,
      spinner: spinnerRecipe,
      textarea: textareaRecipe,
    },
    slotRecipes: {
      alert: alertSlotRecipe,
      checkbox: checkboxSlotRecipe,
      combobox: comboboxSlotRecipe,
      dialog: dialogSlotRecipe,
      editable: editableSlotRecipe,
      field: fieldSlotRecipe,
      list: listSlotRecipe,
      nativeSelect: nativeSelectSlotRecipe,
      progress: progressSlotRecipe,
      table: tableSlotRecipe,
      tabs: tabsSlotRecipe,
      toast: toastSlotRecipe,
    },
  },
});

/** A window that scrolls as one page; one as narrow as a telephone; and one that is low as well, as at twice its size. */
const NARROW = "@media (max-width: 1023px)";
const TELEPHONE = "@media (max-width: 639px)";
const LOW = "@media (max-width: 1023px) and (max-height: 560px)";

const both = (light: string, dark: string) => ({ value: { base: light, _dark: dark } });

/**
 * A shop drawing on a calm ground. The oxide colours of tempered steel (straw, bronze, violet, blue, pale blue) are kept for
 * balance and mass; everything else is ink.
 */
const config = defineConfig({
  globalCss: {
    "html, body": { bg: "ground", color: "ink", fontVariantNumeric: "tabular-nums" },
    // Names that are typed or come from files may have no space to break at.
    body: { overflowWrap: "break-word" },
    "*": { borderColor: "rule" },
    // A drag point shows its ring when it is pointed at or picked out.
    ".drag-ring": { opacity: 0 },
    ".drag-point:hover .drag-ring, .drag-point:focus .drag-ring, .drag-point[data-picked] .drag-ring": {
      opacity: 1,
    },
    ".drag-hold": { "@media (pointer: coarse)": { r: "18px" } },
    // What is drawn again with every step of a drag is made of plain elements.
    ".board": {
      display: "flex",
      flex: "1",
      minWidth: "0",
      minHeight: "0",
      overflow: "auto",
      position: "relative",
      bg: "ground",
      // In a narrow window the page scrolls, not the board.
      [NARROW]: { height: "560px", flex: "1 1 auto", overflow: "visible" },
    },
    ".board[data-stacked]": { [NARROW]: { height: "auto", flexDirection: "column", overflow: "hidden" } },
    ".board-drawing": { position: "relative", flexShrink: "0" },
    ".board-side": {
      display: "flex",
      flexDirection: "column",
      justifyContent: "space-between",
      flexShrink: "0",
      borderInlineStartWidth: "1px",
    },
    ".board[data-stacked] .board-side": { borderInlineStartWidth: "0", borderTopWidth: "1px" },
    ".board-key": { p: "2" },
    ".section-where": { fontSize: "sm", px: "2", lineHeight: "1.25" },
    ".figure": { flexShrink: "0", maxWidth: "250px" },
    ".figure[data-spared]": { [TELEPHONE]: { display: "none" } },
    ".figure-name": { fontSize: "sm", color: "graphite" },
    // Figures of an older state.
    ".readout": {
      display: "flex",
      alignItems: "stretch",
      // Where the window is narrow the findings have a row of their own.
      flexWrap: "wrap",
      columnGap: "7",
      rowGap: "1",
      flexShrink: "0",
      minHeight: "84px",
      px: "4",
      py: "2",
      bg: "sheet",
      borderTopWidth: "1px",
      // It stays in sight while the page is scrolled under it.
      [NARROW]: { position: "sticky", bottom: "0", zIndex: "2", minHeight: "0" },
    },
    ".readout-findings": {
      flex: "1 1 380px",
      minWidth: "0",
      maxHeight: "40vh",
      overflowY: "auto",
      [NARROW]: { flexBasis: "280px", maxHeight: "18vh" },
      [LOW]: { maxHeight: "3.2em" },
    },
    "[data-old] .figure-value, [data-old] .figure-below": { opacity: 0.5 },
    // A lock shows where it is locked, and where it can be: under the pointer or by the keyboard.
    ".lock-toggle": {
      opacity: 0,
      minWidth: "6",
      height: "6",
      color: "graphite",
      // What has no pointer to hover by shows where it can be locked.
      "@media (hover: none)": { opacity: 0.6 },
    },
    ".lockable:hover .lock-toggle, .lock-toggle:focus-visible, .lock-toggle[data-locked]": { opacity: 1 },
    ".lock-toggle[data-locked]": { color: "bronze" },
    ".figures-old": { color: "graphite" },
    ".figure-value": {
      display: "block",
      fontSize: "2xl",
      fontWeight: "600",
      lineHeight: "1.1",
      [TELEPHONE]: { fontSize: "lg" },
      [LOW]: { fontSize: "lg" },
    },
    ".figure-below": {
      fontSize: "sm",
      color: "graphite",
      lineHeight: "1.2",
      whiteSpace: "pre-line",
      [TELEPHONE]: { display: "none" },
      [LOW]: { display: "none" },
    },
    ".strip-key": { fontSize: "sm", lineHeight: "1.25" },
    ".strip-key button": {
      display: "block",
      width: "full",
      textAlign: "start",
      px: "1",
      py: "0.5",
      borderRadius: "sm",
      cursor: "default",
    },
    ".strip-tint": { display: "inline-block", width: "10px", height: "10px", me: "1.5" },
    ".strip-figures": { display: "block", ps: "4" },
    ".strip-bar:focus-visible": { outline: "none" },
    // Of a field with parts of its own the browser says that one of them has the focus, not the field.
    "input[type=date]:focus-within, input[type=time]:focus-within": {
      outline: "2px solid !important",
      outlineColor: "ink !important",
      outlineOffset: "-1px",
    },
    ".range": { width: "full", height: "20px", accentColor: "var(--chakra-colors-ink)", cursor: "pointer" },
    // Where colours are the system's own, what is chosen has a line round it.
    "[aria-pressed=true], [aria-selected=true], [aria-current]": {
      "@media (forced-colors: active)": {
        outline: "2px solid Highlight !important",
        outlineOffset: "-2px !important",
      },
    },
    // A link that stands for its whole row.
    ".pick-target": { cursor: "pointer", outline: "none" },
    ".pick-target:focus-visible": { stroke: "ink", strokeWidth: "2.5px" },
    "*, *::before, *::after": { _motionReduce: { transitionDuration: "0.01ms !important" } },
    ".row-link::after": { content: '""', position: "absolute", inset: 0 },
  },
  theme: {
    tokens: {
      fonts: { body: { value: "Barlow, sans-serif" }, heading: { value: "Barlow, sans-serif" } },
    },
    semanticTokens: {
      colors: {
        ground: both("#eef0ef", "#12171a"),
        sheet: both("#fafbfa", "#1a2125"),
        ink: both("#1b262c", "#e2e9eb"),
        graphite: both("#4d5b63", "#a3b1b7"),
        rule: both("#ccd3d5", "#35424a"),
        line: both("#8b979d", "#66757d"),
        select: both("#1b262c", "#e2e9eb"),
        straw: both("#b8901f", "#dcb650"),
        bronze: both("#9a5724", "#d98f55"),
        violet: both("#6d4684", "#b790cf"),
        oxide: both("#2d5a8a", "#7fb0e0"),
        pale: both("#47828a", "#86c5cb"),
        warn: both("#8a5a00", "#e0b45a"),
        fault: both("#a32c2c", "#f08b84"),
      },
    },
  },
});

export const system = createSystem(defaultBaseConfig, used, config);

/** A colour of the theme as CSS, for drawings. */
export function color(
  name:
    | "ground"
    | "sheet"
    | "ink"
    | "graphite"
    | "rule"
    | "line"
    | "straw"
    | "bronze"
    | "violet"
    | "oxide"
    | "pale"
    | "warn"
    | "fault",
): string {
  return `var(--chakra-colors-${name})`;
}

/** The tint of a finding, by how grave it is. */
export const SEVERITY_TINT = { error: "fault", warning: "warn", note: "graphite" } as const;
