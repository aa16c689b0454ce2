import type { OwnMaterial } from "../../materials/own/types";
import { plainJob } from "./job";
import type { Job } from "./record/job";
import type { CarriedWorkshop } from "./record/workshop";

/** What every product's design has, whatever it is of: plain data, lengths in mm. */
export interface ProductDesign {
  /** Which product it is: "fixed" is a knife with a fixed blade. */
  readonly kind: string;
  readonly name: string;
  readonly notes: string;
  readonly job: Readonly<Job>;
  /** The maker's own materials that it is made of. */
  readonly materials: readonly OwnMaterial[];
  /** The shop that it is made in. */
  readonly workshop: Readonly<CarriedWorkshop>;
}

/** A design like another, under a name of its own: what was said of the other alone is left out. */
export function likeAnother<D extends ProductDesign>(design: D, name: string): D {
  return { ...design, name, notes: "", job: plainJob() };
}
