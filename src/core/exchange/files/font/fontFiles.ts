import type { PageFont } from "../../paper/letters";

/** The names of the fonts' files, where they lie with the application. */
export const FONT_FILES: Readonly<Record<PageFont, { readonly regular: string; readonly bold: string }>> = {
  own: { regular: "Barlow-Regular.ttf", bold: "Barlow-SemiBold.ttf" },
  wider: { regular: "DejaVuSans.ttf", bold: "DejaVuSans-Bold.ttf" },
};
