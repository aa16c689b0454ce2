import type { TextureKind } from "@/core/knife/design/schema";

/** What a face that is not smooth is called where it is chosen. */
export const TEXTURE_WORDS: Readonly<Record<TextureKind | "smooth", string>> = {
  smooth: "Smooth",
  natural: "As it grew: bark, crown, hide",
  jigged: "Jigged: cut into by hand or machine",
  dimpled: "Dimpled by a ball",
  peened: "Peened all over",
  hammered: "Hammered",
};
