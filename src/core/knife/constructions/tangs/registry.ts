import { registryOf } from "../../../base/record/registry";
import type { Line } from "../../../geometry/solids/line";
import type { Design } from "../../design/schema";
import { framed } from "./framed";
import { full } from "./full";
import { hidden } from "./hidden";
import type { Tang, TangKindOf } from "./kind";

type TangOf<K extends Tang["kind"]> = Extract<Tang, { kind: K }>;

/** Every kind of tang. A kind of the record that is left out here does not compile. */
const TANGS: { readonly [K in Tang["kind"]]: TangKindOf<TangOf<K>> } = { full, hidden, framed };
const MODULES = registryOf<TangKindOf<Tang>>(Object.values(TANGS), "tang");

/** What is known of a kind of tang. */
export function tangKindOf<K extends Tang["kind"]>({ kind }: { readonly kind: K }): TangKindOf<TangOf<K>> {
  return MODULES.of({ kind }) as unknown as TangKindOf<TangOf<K>>;
}

/** The same of a record whose kind is not asked for. */
export const tangModule = MODULES.of;

/** Half the thickness along x of what scales lie on: a full tang's, or a frame's; of a hidden tang its own. */
export const tangFace = (
  { tang, blade }: { readonly tang: Tang; readonly blade: Pick<Design["blade"], "spineMm"> },
  buttX: number,
): Line => tangModule(tang).face(tang, blade, buttX);
