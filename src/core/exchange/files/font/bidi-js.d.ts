/** What is used of the library, which ships no types. */
declare module "bidi-js" {
  interface Levels {
    readonly levels: Uint8Array;
    readonly paragraphs: readonly { readonly start: number; readonly end: number; readonly level: number }[];
  }
  interface Bidi {
    getEmbeddingLevels(text: string, direction?: "ltr" | "rtl" | "auto"): Levels;
    getReorderedString(text: string, levels: Levels): string;
  }
  export default function bidiFactory(): Bidi;
}
