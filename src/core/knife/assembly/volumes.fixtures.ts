import { integrate } from "../../figures/weigh/integrate";
import type { Design } from "../design/schema";
import { assemble } from "./assemble";

/** Volumes by part, mm³; places of one id are one part. */
export function volumes(design: Design): Map<string, number> {
  const assembly = assemble(design);
  const sums = new Map<string, number>();
  integrate(assembly).forEach((m, i) => {
    const { id } = assembly.parts[i];
    sums.set(id, (sums.get(id) ?? 0) + m.v);
  });
  return sums;
}
