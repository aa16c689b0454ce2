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

/** Cord or leather round the handle: shells that hold as much of it as covers them, the innermost first. */
export function addWraps(b: AssemblyBuilder, { wraps }: Handle): void {
  wraps.forEach((wrap, i) => {
    const cover = [{ materialId: wrap.material, share: wrapCover(wrap) }];
    const key = { kind: "wrap", number: wraps.length > 1 ? i + 1 : null } as const;
    for (const of of wrapRegions(b.layout, i)) b.add("handle", key, cover, ...of.map((r) => b.put(r)));
  });
}
