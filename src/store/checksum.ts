/**
 * Checksum of a design as this program checked and wrote it: two 32-bit FNV-1a hashes over the UTF-16 units of its JSON. It
 * finds what was changed since by anything but this program, or by a fault; it is no protection against intent.
 * Imported shapes, which are large and hardly change, are summed once each.
 * @see Fowler, Noll, Vo: IETF draft-eastlake-fnv (prime and offset of the 32-bit variant).
 */
export function checksumOf(design: unknown): string {
  if (typeof design !== "object" || design === null) return sum(JSON.stringify(design) ?? "");
  const { meshes, ...rest } = design as Record<string, unknown>;
  const shapes = Array.isArray(meshes) ? meshes.map(shapeSum).join(" ") : JSON.stringify(meshes);
  return sum(`${JSON.stringify(rest)}|${shapes}`);
}

const known = new WeakMap<object, string>();

function shapeSum(shape: unknown): string {
  if (typeof shape !== "object" || shape === null) return JSON.stringify(shape) ?? "";
  let found = known.get(shape);
  if (found === undefined) {
    found = sum(JSON.stringify(shape));
    known.set(shape, found);
  }
  return found;
}

const PRIME = 0x01000193;

function sum(text: string): string {
  let low = 0x811c9dc5;
  let high = 0xcbf29ce4;
  for (let i = 0; i < text.length; i++) {
    const unit = text.charCodeAt(i);
    low = Math.imul(low ^ unit, PRIME);
    high = Math.imul(high ^ (unit + i), PRIME);
  }
  return [low, high].map((n) => (n >>> 0).toString(16).padStart(8, "0")).join("");
}
