import type { BarEndKind } from "@/core/kinds/tangEnds/registry";

/** What an end of a tang is called: as a choice, by its fields with what is to be known of them, its points, a note. */
interface TangEndWords {
  readonly name: string;
  readonly fields: Readonly<Record<string, string>>;
  readonly help?: Readonly<Record<string, string>>;
  /** Each point's title, and what its number is called. */
  readonly points?: Readonly<Record<string, { readonly title: string; readonly label: string }>>;
  readonly note?: string;
}

const NUT_FIELDS = {
  "nut.style": "Nut",
  "nut.acrossMm": "Nut across",
  "nut.lengthMm": "Nut length",
  "nut.material": "Nut of",
  seatMm: "Seat ahead of the butt",
  counterboreMm: "Counterbore",
};
const NUT_HELP = "How deep the nut is let in; 0 leaves it behind the butt.";

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
      ...NUT_FIELDS,
    },
    help: { seatMm: NUT_HELP },
    points: {
      "rod-end": { title: "End of the threaded rod", label: "Threaded length" },
      "nut-seat": { title: "Nut's seat", label: "Seat ahead of the butt" },
    },
  },
  stud: {
    name: "Stud brazed on, and nut",
    fields: {
      rodMm: "Stud behind the tang",
      lapMm: "Brazed in the tang",
      material: "Stud of",
      ...NUT_FIELDS,
    },
    help: {
      lapMm: "How far the stud is let into the end of the tang.",
      seatMm: NUT_HELP,
    },
    points: {
      "rod-end": { title: "End of the stud", label: "Stud behind the tang" },
      "nut-seat": { title: "Nut's seat", label: "Seat ahead of the butt" },
      "stud-lap": { title: "Front of the stud, in the tang", label: "Brazed in the tang" },
    },
    note: "Braze before the blade is hardened, or keep the blade cold: the heat draws its temper. Flux and brazing fumes harm: cadmium-free filler, fresh air.",
  },
  "cap-nut": {
    name: "Butt cap as the nut",
    fields: {
      rodMm: "Threaded length",
      "cap.heightMm": "Cap height",
      "cap.widthMm": "Cap width",
      "cap.lengthMm": "Cap length",
      "cap.domeMm": "Dome of its rear face",
      "cap.roundness": "Roundness from the end",
      "cap.material": "Cap of",
    },
    points: {
      "rod-end": { title: "End of the threaded rod", label: "Threaded length" },
      "cap-rear": { title: "Rear of the cap", label: "Cap length" },
    },
    note: "Tap the cap blind; a little sealant in the thread keeps water out.",
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
