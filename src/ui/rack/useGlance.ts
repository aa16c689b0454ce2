import { useEffect } from "react";
import { printMass } from "@/core/base/units/print";
import type { RackFigures } from "@/store/rackFigures";
import { useUnits } from "@/store/settings";
import { balanceShort } from "@/words/balance";
import { keepGlance } from "./glance";
import { readLast } from "./lastRead";

/** The rack rests so long before it is kept, ms. */
const REST_MS = 1500;
/** So many knives from the top. */
const ROWS = 10;

/** Keeps what stands at the top of the rack, for the first moment of the next visit. */
export function useGlance(ids: readonly string[], known: RackFigures["known"]): void {
  const units = useUnits();
  useEffect(() => {
    const timer = setTimeout(() => {
      keepGlance(
        ids.slice(0, ROWS).flatMap((id) => {
          const reading = readLast(id);
          const figures = known.get(id);
          if (!reading?.ok || !figures || figures.massG === null || figures.balanceMm === null) return [];
          const balance = `balances ${balanceShort(figures.balanceMm, units)}`;
          return [{ name: reading.record.design.name, mass: printMass(figures.massG, units), balance }];
        }),
      );
    }, REST_MS);
    return () => clearTimeout(timer);
  }, [ids, known, units]);
}
