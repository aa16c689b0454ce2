import { ROUNDING } from "@/core/base/tolerances";

/** Steps between ticks: one, two or five of a power of ten. */
const STEPS = [1, 2, 5, 10];

/** Ticks at even steps of a round figure, about so many between two values; both ends are kept where they are round. */
export function evenTicks(low: number, high: number, about = 6): number[] {
  const span = high - low;
  if (!(span > 0) || !Number.isFinite(span)) return [low];
  const rough = span / about;
  const ten = 10 ** Math.floor(Math.log10(rough));
  const step = (STEPS.find((s) => s * ten >= rough * (1 - ROUNDING)) ?? 10) * ten;
  const ticks: number[] = [];
  for (let k = Math.ceil(low / step - ROUNDING); k * step <= high + step * ROUNDING; k++)
    ticks.push(Number((k * step).toPrecision(12)));
  return ticks;
}
