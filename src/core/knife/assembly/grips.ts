import type { Handle } from "../design/schema";
import { grooveRegion, wrapCover, wrapRegions } from "../layout/grips";
import type { AssemblyBuilder } from "../parts/builder";

/** Grooves across the handle's faces: they take from all that the handle is made of. */
export function addGrooves(b: AssemblyBuilder, { grooves }: Handle, body: number): void {
  for (const groove of grooves)
    for (const side of ["right", "left"] as const)
      if (groove.sides === "both" || groove.sides === side)
        b.add(
          "handle",
          { kind: "groove", id: groove.id },
          [],
          b.put(grooveRegion(b.layout, groove, side)),
          body,
        );
}

/** Cord or leather round the handle: a shell that holds as much of it as covers it. */
export function addWrap(b: AssemblyBuilder, { wrap }: Handle): void {
  if (!wrap) return;
  const cover = [{ materialId: wrap.material, share: wrapCover(wrap) }];
  b.add("handle", { kind: "wrap" }, cover, ...wrapRegions(b.layout, wrap).map((r) => b.put(r)));
}
