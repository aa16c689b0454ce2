import type { Shop } from "@/core/figures/cost/shop";

/** "12.50 cr"; a sum that is not finite prints as a dash. */
export function printMoney(sum: number, { currency }: Pick<Shop, "currency">): string {
  if (!Number.isFinite(sum)) return "–";
  const text = sum
    .toFixed(2)
    .replace(/^-(?=0\.00$)/, "")
    .replace("-", "−");
  return currency ? `${text} ${currency}` : text;
}

/** "2 h 35 min" */
export function printMinutes(minutes: number): string {
  const whole = Math.round(minutes);
  const [h, m] = [Math.floor(whole / 60), whole % 60];
  if (h === 0) return `${m} min`;
  return m === 0 ? `${h} h` : `${h} h ${m} min`;
}
