import { sameData } from "../../base/sameData";
import { sameButOutline } from "../../geometry/solids/sameRegion";
import type { PartColumns } from "./partColumns";

type From = PartColumns["from"];

/** The last results are kept, so many. */
const KEPT = 8;

/** What was worked out of a part's columns and one thing more, for as long as both stay the same. */
export class ColumnMemory<K, T> {
  private readonly known: { readonly from: From; readonly key: K; readonly result: T }[] = [];

  of(from: From, key: K, work: () => T): T {
    const found = this.known.find((k) => sameData(k.key, key) && sameFrom(k.from, from));
    if (found) return found.result;
    const result = work();
    this.known.unshift({ from, key, result });
    this.known.length = Math.min(this.known.length, KEPT);
    return result;
  }
}

function sameFrom(a: From, b: From): boolean {
  return (
    sameData(a.parts, b.parts) &&
    a.regions.length === b.regions.length &&
    a.regions.every(
      (r, i) => sameButOutline(r, b.regions[i]) && sameData(r.outline?.cubics, b.regions[i].outline?.cubics),
    )
  );
}
