import { own } from "../../../base/own";
import type { Line } from "../../../geometry/solids/line";
import type { Design } from "../../design/schema";
import { framed } from "./framed";
import { full } from "./full";
import { hidden } from "./hidden";
import type { Tang, TangKindOf } from "./kind";

type TangOf<K extends Tang["kind"]> = Extract<Tang, { kind: K }>;

/** Every kind of tang. A kind of the record that is left out here does not compile. */
const TANGS: { readonly [K in Tang["kind"]]: TangKindOf<TangOf<K>> } = { full, hidden, framed };

/** What is known of a kind of tang. */
export function tangKindOf<K extends Tang["kind"]>({ kind }: { readonly kind: K }): TangKindOf<TangOf<K>> {
  const known = own(TANGS as Readonly<Record<string, unknown>>, kind);
  if (!known) throw new Error(`no tang is called "${kind}"`);
  return known as TangKindOf<TangOf<K>>;
}

/** The same of a record whose kind is not asked for. */
export const tangModule = (tang: Tang) => tangKindOf(tang) as unknown as TangKindOf<Tang>;

/** Half the thickness along x of what scales lie on: a full tang's, or a frame's; of a hidden tang its own. */
export const tangFace = (
  { tang, blade }: { readonly tang: Tang; readonly blade: Pick<Design["blade"], "spineMm"> },
  buttX: number,
): Line => tangModule(tang).face(tang, blade, buttX);
