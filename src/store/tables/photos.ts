import * as z from "zod/mini";
import { isRecord } from "@/core/base/isRecord";
import { keyText, type Row, type TableSpec } from "./spec";

const mm = (least: number, most: number) => z.number().check(z.gte(least), z.lte(most));

/** A photo under a knife's drawing, at true size. */
const underlay = z.object({
  /** Of its picture in the table of pictures. */
  picture: z.string().check(z.regex(/^[0-9a-f]{16}-[0-9]{1,9}$/)),
  widthMm: mm(1, 10_000),
  heightMm: mm(1, 10_000),
  /** The photo's place, from its lower left corner up and to the right, that is the knife's datum, mm. */
  datumX: mm(-20_000, 20_000),
  datumY: mm(-20_000, 20_000),
  tipDeg: mm(-720, 720),
  mirrored: z.boolean(),
  /** 0 is not seen, 1 as it is. */
  opacity: mm(0, 1),
  shown: z.boolean(),
});
export type Underlay = Readonly<z.infer<typeof underlay>>;

/** The photo that a row tells of; null of one that makes no sense. */
export function underlayIn(row: Row | undefined): Underlay | null {
  const parsed = underlay.safeParse(row?.underlay);
  return parsed.success ? parsed.data : null;
}

/** Pictures of layouts before 6 stood in the row, as a data address. */
const IN_ROW = "data:image/";

/** The photo under a knife, by the knife's id. */
export const PHOTOS: TableSpec = {
  name: "underlays",
  since: 5,
  indexes: "id, updatedAt",
  called: { one: "photo under a knife", many: "photos" },
  keyOf: (row) => keyText(row.id),
  readable: (row) => underlayIn(row) !== null,
  nameOf: () => null,
  picturesOf: (row) => {
    const photo = underlayIn(row);
    return photo ? [photo.picture] : [];
  },
  atoms: ["underlay"],
  ownedBy: { field: "id", copy: (row, knifeId) => ({ ...row, id: knifeId, revision: 1 }) },
  upgrade: (row, addPicture) => {
    const held = isRecord(row.underlay) ? row.underlay : {};
    const { picture } = held;
    if (typeof picture !== "string" || !picture.startsWith(IN_ROW)) return row;
    const comma = picture.indexOf(";base64,");
    const type = picture.slice("data:".length, Math.max(0, comma));
    if (!PICTURE_TYPES.includes(type)) return row;
    let bytes: Uint8Array;
    try {
      bytes = Uint8Array.from(atob(picture.slice(comma + ";base64,".length)), (c) => c.charCodeAt(0));
    } catch {
      return row;
    }
    return { ...row, underlay: { ...held, picture: addPicture(bytes, type) } };
  },
};

/** What a picture may be. */
export const PICTURE_TYPES: readonly string[] = ["image/jpeg", "image/png", "image/webp"];
