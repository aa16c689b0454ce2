import type { ComponentType, ReactNode } from "react";
import type { UnitSystem } from "@/core/base/units/print";
import type { EditFor } from "@/core/edit/editFor";
import type { AnyEdit } from "@/core/edit/table";
import type { PartRef } from "@/core/figures/review/partRefs";
import type { Finding, Fix, Offer } from "@/core/figures/review/types";
import type { ProductDesign } from "@/core/knife/design/product";
import type { Extent, Scale } from "../drawing/path";

/** A step of a product's bench: what stands in the panel beside the drawing. */
export interface StepViews {
  readonly id: string;
  readonly name: string;
  readonly Panel: ComponentType;
  /** Fetches what it shows, when its tab is pointed at. */
  readonly prefetch?: () => Promise<unknown>;
}

/** Views that a product may offer besides the Bench. */
export const MORE_PLACES = ["balance", "fit", "compare", "sheets", "build", "pattern"] as const;
export type MorePlace = (typeof MORE_PLACES)[number];

/** Lengths that a maker types before a design is begun, mm. */
export interface StartSizes<D extends ProductDesign> {
  readonly fields: readonly {
    readonly key: string;
    readonly label: string;
    readonly low: number;
    readonly high: number;
    of(design: D): number;
  }[];
  resized(design: D, sizes: Readonly<Record<string, number>>): D;
}

/** What a finding's fix is called, what it does, and the design with it. */
export interface FixViews<D extends ProductDesign> {
  says(offer: Offer, of: D, units: UnitSystem): string;
  does(offer: Offer, units: UnitSystem): string;
  /** What is done to the design to fix what a rule found. */
  edit(rule: string, fix: Fix): EditFor<D>;
}

/**
 * What a person sees of a product: everything that the rack, the bench and the page of starting forms need. Methods and
 * components are given designs of this product only; what they show is fetched when it is opened.
 */
export interface ProductViews<D extends ProductDesign = ProductDesign> {
  readonly kind: D["kind"];
  extent(design: D): Extent;
  /** How far it reaches to either side of the middle plane at most, mm. */
  halfWidthMm(design: D): number;
  /** It from its right side, drawn small. */
  readonly Side: ComponentType<{ readonly design: D; readonly scale: Scale; readonly line?: number }>;
  /** The drawing on the bench; `other` is what leads to the solid view. */
  readonly Board: ComponentType<{ readonly other: ReactNode }>;
  /** The first is open when a design is laid on the bench. */
  readonly steps: readonly StepViews[];
  readonly places: Readonly<Partial<Record<MorePlace, ComponentType<{ readonly onDone: () => void }>>>>;
  /** Fetches the bench, ahead of its being shown. */
  preload(): void;
  /** Where it balances, in words. */
  balance(balanceMm: number, design: D, units: UnitSystem): string;
  /** The parts that a finding refers to. */
  partRefs(design: D, finding: Finding): readonly PartRef[];
  /** None where no finding of it can be fixed by a click. */
  readonly fixes?: FixViews<D>;
  /** What an edit does, as undo says it: "Change length". */
  editWords(edit: AnyEdit, design: D, units: UnitSystem): string;
  startWords(code: string): { readonly name: string; readonly says: string };
  readonly sizes?: StartSizes<D>;
}

/** The views of one product among others: whoever finds them by a design's kind gives them designs of that kind. */
export const anyViews = <D extends ProductDesign>(views: ProductViews<D>): ProductViews =>
  views as unknown as ProductViews;
