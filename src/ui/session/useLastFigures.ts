import { useEffect, useState } from "react";
import type { ProductDesign } from "@/core/knife/design/product";
import { type LastFigures, lastFigures } from "@/store/lastFigures";
import { useBenchOf, useWeighed } from "./BenchContext";

/** Of a knife that cannot be built since it lies on the bench: what the rack knows of when it could; else null. */
export function useLastFigures(): LastFigures | null {
  const { knifeId } = useBenchOf<ProductDesign>();
  const { weighing, lastGood } = useWeighed();
  const isAsked = weighing !== null && !weighing.ok && lastGood === null;
  const [kept, setKept] = useState<LastFigures | null>(null);
  useEffect(() => {
    if (!isAsked) return;
    let isHere = true;
    void lastFigures(knifeId).then((figures) => {
      if (isHere) setKept(figures);
    });
    return () => {
      isHere = false;
    };
  }, [isAsked, knifeId]);
  return isAsked ? kept : null;
}
