"use client";
import { type ReactNode, useEffect, useMemo } from "react";
import type { Autosave } from "@/store/autosave";
import { watchWorkshops, workshops } from "@/store/followed";
import type { Session } from "@/store/session";
import { KnownMaterials } from "../kit/materials";
import { BenchContext, useProduct, ViewsContext } from "./BenchContext";
import { createBench } from "./benchState";
import type { ProductViews } from "./product";

/** Puts one design on the bench, within reach of all that is shown of it. */
export function BenchProvider({
  knifeId,
  session,
  autosave,
  views,
  children,
}: {
  knifeId: string;
  session: Session;
  autosave: Autosave;
  views: ProductViews;
  children: ReactNode;
}) {
  const bench = useMemo(
    () => createBench(knifeId, session, autosave, views.steps[0].id),
    [knifeId, session, autosave, views],
  );
  useEffect(() => bench.begin(), [bench]);
  // What another page or tab changes of the workshop, this knife follows.
  useEffect(() => {
    watchWorkshops();
    return workshops.subscribe(() => session.followOn());
  }, [session]);
  return (
    <BenchContext.Provider value={bench}>
      <ViewsContext.Provider value={views}>
        <Carried>{children}</Carried>
      </ViewsContext.Provider>
    </BenchContext.Provider>
  );
}

/** Own materials that the knife carries are known to all that is shown of it. */
function Carried({ children }: { children: ReactNode }) {
  return <KnownMaterials carried={useProduct((d) => d.materials)}>{children}</KnownMaterials>;
}
