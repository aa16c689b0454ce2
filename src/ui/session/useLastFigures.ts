import { useEffect, useState } from "react";
import type { ProductDesign } from "@/core/knife/design/product";
import { keepLastFigures, type LastFigures, lastFigures } from "@/store/lastFigures";
import { useBenchOf, useViews, useWeighed } from "./BenchContext";

/** Of a knife that cannot be built since it lies on the bench: what was kept of when it could; else null. Keeps it, too. */
export function useLastFigures(): LastFigures | null {
  const { knifeId } = useBenchOf<ProductDesign>();
  const { weighing, lastGood } = useWeighed();
  const { extent } = useViews();
  const isRefused = weighing !== null && !weighing.ok;
  const isAsked = isRefused && lastGood === null;
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
  useEffect(() => {
    // From here on its page may be left at any moment.
    if (isRefused && lastGood) void keepLastFigures(knifeId, lastGood.report, extent(lastGood.of));
  }, [isRefused, lastGood, knifeId, extent]);
  return isAsked ? kept : null;
}
