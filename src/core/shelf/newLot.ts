import type { Lot } from "./lot";

export const isMaterial = ({ of }: Pick<Lot, "of">): boolean =>
  !of.startsWith("each:") && !of.startsWith("supply:");

/** A lot that nothing is known of but what it is of. */
export const newLot = (lotId: string, of: string, name: string): Lot => ({
  id: lotId,
  name,
  of,
  shape: of.startsWith("each:")
    ? { form: "each", key: "" }
    : of.startsWith("supply:")
      ? { form: "amount", amount: 1 }
      : {
          form: "piece",
          lengthMm: 130,
          heightMm: 40,
          thicknessMm: 10,
          grain: "length",
          side: null,
          face: null,
          outline: null,
          holes: [],
        },
  count: 1,
  weighed: null,
  price: null,
  place: "",
  note: "",
  picture: null,
  boughtOn: null,
  openedOn: null,
  bestBefore: null,
  guessed: false,
  batch: null,
  offcutOf: null,
});
