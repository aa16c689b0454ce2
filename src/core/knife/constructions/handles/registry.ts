import { registryOf } from "../../../base/record/registry";
import type { Loft } from "../../../geometry/solids/loft";
import type { Region } from "../../../geometry/solids/region";
import { lengthwiseOf } from "../../design/handleParts";
import type { Design, Handle } from "../../design/schema";
import type { HandleForm } from "../../shapes/handleBody";
import { bare } from "./bare";
import type { HandleKindOf, HandleShape } from "./kind";
import { scales } from "./scales";
import { stack } from "./stack";

type Kind = Handle["kind"];
type HandleOf<K extends Kind> = Extract<Handle, { kind: K }>;

/** Every kind of handle, in the order that they are proposed. A kind of the record that is left out here does not compile. */
const HANDLES: { readonly [K in Kind]: HandleKindOf<HandleOf<K>> } = { scales, stack, bare };
const MODULES = registryOf<HandleKindOf<Handle>>(Object.values(HANDLES), "handle");
const KINDS = MODULES.kinds;

/** What is known of a kind of handle. */
export function handleKindOf<K extends Kind>({ kind }: { readonly kind: K }): HandleKindOf<HandleOf<K>> {
  return MODULES.of({ kind }) as unknown as HandleKindOf<HandleOf<K>>;
}

/** The same of a record whose kind is not asked for. */
export const handleModule = MODULES.of;

/** What every kind of handle has. */
const shapeOf = ({ outline, plan, facets, waist, symmetric, wraps, grooves }: Handle): HandleShape => ({
  outline,
  plan,
  facets,
  waist,
  symmetric,
  wraps,
  grooves,
});

/** A handle as one of another kind: of its outline, thickness and section, and of what most of it is of. */
export function handleAs<K extends Kind>(handle: Handle, kind: K): HandleOf<K> {
  if (handle.kind === kind) return handle as HandleOf<K>;
  return handleKindOf({ kind }).begin(shapeOf(handle), handleModule(handle).mainMaterial(handle));
}

/** A handle as one that goes on a tang: as it is where it does, or of the kind that is proposed first. */
export function handleOn(handle: Handle, tang: Design["tang"]["kind"]): Handle {
  if (handleModule(handle).tangs.includes(tang)) return handle;
  const first = KINDS.find((kind) => handleKindOf({ kind }).tangs.includes(tang));
  return first ? handleAs(handle, first) : handle;
}

/** What a handle is lofted from, as its maker contours it: a bare tang's flat slab, too. */
export const bodyLoft = (form: HandleForm, xRange: readonly [number, number] = form.span): Loft =>
  handleModule(form.handle).loft(form.handle, form, xRange);

/** The handle as its maker contours it, over some stations: all of it, or what its shaped pieces leave. */
export const bodyRegion = (form: HandleForm, xRange: readonly [number, number] = form.span): Region =>
  handleModule(form.handle).body(form.handle, form, xRange);

/** The materials that a hand holds: scales and their segments, or pieces; the blade's steel of a bare tang. */
export function gripMaterials({ handle, blade }: Design): readonly string[] {
  const lower = lengthwiseOf(handle);
  const upper = handleModule(handle).gripMaterials(handle, blade.steel);
  return lower ? [...upper, lower.material] : upper;
}
