import { own } from "@/core/base/own";
import type { StartingForm } from "@/core/knife/starts/startingForms";
import { capital } from "./grammar";

interface FormWords {
  readonly name: string;
  readonly says: string;
}

export const FORM_WORDS: Record<StartingForm, FormWords> = {
  field: { name: "Field knife", says: "Drop point, scales on a tapered full tang" },
  hunter: { name: "Hunter", says: "Hollow ground, scales, holes in the tang" },
  paring: { name: "Paring knife", says: "Small, thin, full flat" },
  slicer: { name: "Slicer", says: "Long and thin, for the kitchen" },
  skinner: { name: "Skinner", says: "Upswept, with a full belly" },
  "neck-knife": { name: "Neck knife", says: "Bare tang, wound in cord" },
  "clip-point-with-guard": { name: "Large clip point", says: "Guard, false edge, tang in a block" },
  dagger: { name: "Dagger", says: "Two edges, through tang with a nut" },
  "stick-tang": { name: "Stick tang", says: "Low flat bevel, tang glued into a block" },
  "take-down": { name: "Take-down", says: "A screw from the butt holds it together" },
  chopper: { name: "Chopper", says: "Dropped edge, a fuller on each side" },
  "sword-length": { name: "Sword-length", says: "Curved, peened through a disc pommel" },
  "kit-blade": { name: "Blade in the hand", says: "Bought or finished: you weigh it on the bench" },
};

/** What a design of a form is called to begin with; a form that has no words here goes by its code. */
export function startName(code: string): string {
  const words = own<FormWords>(FORM_WORDS, code);
  if (words) return words.name;
  const plain = code.replaceAll("-", " ");
  return capital(plain);
}
