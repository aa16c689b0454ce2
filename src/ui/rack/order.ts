import { compared } from "@/core/base/compared";
import type { KnifeState, UseKind } from "@/core/knife/design/schema";
import type { Digest } from "@/store/digests";
import type { RackFigures } from "@/store/rackFigures";

/** What the rack can be ordered by. */
export const ORDERS = ["newest", "changed", "name", "weight", "balance", "use", "state"] as const;
export type Order = (typeof ORDERS)[number];

/** What of the rack is shown, and in which order. */
export interface RackView {
  readonly order: Order;
  readonly search: string;
  readonly state: KnifeState | "all";
  readonly use: UseKind | "all";
}

export const WHOLE_RACK: RackView = { order: "newest", search: "", state: "all", use: "all" };

/** Whether more has to be known of the knives than their ids and figures. */
export const needsDigests = ({ order, search, state, use }: RackView): boolean =>
  !["newest", "weight", "balance"].includes(order) ||
  search.trim() !== "" ||
  state !== "all" ||
  use !== "all";

/** How far a knife has come, in the order that it comes in. */
const STATE_RANK: Record<KnifeState, number> = { "in-work": 0, planned: 1, finished: 2, gone: 3 };

/**
 * The knives that are shown, in their order: ids come newest first, and what is alike keeps that order. What is not known
 * of a knife puts it last.
 */
export function shownIds(
  ids: readonly string[],
  view: RackView,
  digests: ReadonlyMap<string, Digest> | null,
  known: RackFigures["known"],
): readonly string[] {
  const words = compared(view.search).split(/\s+/).filter(Boolean);
  const shown = ids.filter((id) => {
    const digest = digests?.get(id);
    if (!digest) return words.length === 0 && view.state === "all" && view.use === "all";
    if (view.state !== "all" && digest.state !== view.state) return false;
    if (view.use !== "all" && digest.use !== view.use) return false;
    return words.every((w) => digest.text.includes(w));
  });
  const keyOf = (id: string): number | string | null => {
    const digest = digests?.get(id);
    switch (view.order) {
      case "newest":
        return 0;
      case "changed":
        return digest ? -digest.updatedAt : null;
      case "name":
        return digest ? compared(digest.name) : null;
      case "weight":
        return known.get(id)?.massG ?? null;
      case "balance":
        return known.get(id)?.balanceMm ?? null;
      case "use":
        return digest?.use ?? null;
      case "state":
        return digest?.state ? (STATE_RANK[digest.state] ?? null) : null;
    }
  };
  const keys = new Map(shown.map((id) => [id, keyOf(id)] as const));
  return [...shown].sort((a, b) => {
    const [p, q] = [keys.get(a) ?? null, keys.get(b) ?? null];
    if (p === null || q === null) return Number(p === null) - Number(q === null);
    if (typeof p === "string" && typeof q === "string") return p.localeCompare(q, "en", { numeric: true });
    return Number(p) - Number(q);
  });
}
