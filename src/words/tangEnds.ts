import type { BarEndKind } from "@/core/tangEnds/registry";

/** What an end of a tang is called: as a choice, by its fields with what is to be known of them, its points, a note. */
interface TangEndWords {
  readonly name: string;
  readonly fields: Readonly<Record<string, string>>;
  readonly help?: Readonly<Record<string, string>>;
  /** Each point's title, and what its number is called. */
  readonly points?: Readonly<Record<string, { readonly title: string; readonly label: string }>>;
  readonly note?: string;
}

export const TANG_END_WORDS: Record<BarEndKind, TangEndWords> = {
  plain: { name: "Glue alone", fields: {} },
  peened: {
    name: "Peened over",
    fields: { headMm: "Head across", proudMm: "Head stands proud" },
    note: "Peen only against metal: over wood or horn set a washer or a butt plate, or it splits. Wear eye protection.",
  },
  threaded: {
    name: "Thread and nut",
    fields: {
      rodMm: "Threaded length",
      "nut.style": "Nut",
      "nut.acrossMm": "Nut across",
      "nut.lengthMm": "Nut length",
      "nut.material": "Nut of",
      seatMm: "Seat ahead of the butt",
      counterboreMm: "Counterbore",
    },
    help: { seatMm: "How deep the nut is let in; 0 leaves it behind the butt." },
    points: {
      "rod-end": { title: "End of the threaded rod", label: "Threaded length" },
      "nut-seat": { title: "Nut's seat", label: "Seat ahead of the butt" },
    },
  },
  "take-down": {
    name: "Screw from the butt",
    fields: {
      engagedMm: "Thread in the tang",
      seatMm: "Head's seat ahead of the butt",
      headMm: "Head across",
      headLengthMm: "Head length",
      socketMm: "Socket across flats",
      counterboreMm: "Counterbore",
      material: "Screw of",
    },
    points: {
      "screw-seat": { title: "Screw head's seat", label: "Head's seat ahead of the butt" },
      "screw-tip": { title: "Tip of the screw", label: "Thread in the tang" },
    },
    note: "Register the guard with two small dowels (Guard step), or the parts turn on the screw.",
  },
};
