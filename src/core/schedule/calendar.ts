import { dayOf, two } from "../base/day";

/** A day's stretch of work, minutes after midnight. */
export interface DayStretch {
  readonly fromMin: number;
  readonly toMin: number;
}

/** When somebody works: stretches by weekday, Monday first, and days on which nobody does, "2026-12-24". */
export interface WorkDays {
  readonly hours: readonly (readonly DayStretch[])[];
  readonly daysOff: readonly string[];
}

/** A stretch of time, ms since 1970. */
export interface Stretch {
  readonly fromMs: number;
  readonly toMs: number;
}

/** So many days ahead are looked at. */
export const MOST_DAYS = 1100;

/** A moment in local time, as it is written: "2026-12-01T09:30". */
export function localTime(ms: number): string {
  const d = new Date(ms);
  return `${dayOf(ms)}T${two(d.getHours())}:${two(d.getMinutes())}`;
}

/**
 * Working time from a moment on: stretches one after the other, looked up in no time. Clocks that are changed move hours of
 * work; a wait is as long as it is.
 */
export class Calendar {
  private readonly from: number[] = [];
  private readonly to: number[] = [];
  /** Working time before each stretch, ms. */
  private readonly worked: number[] = [];
  private readonly off: ReadonlySet<string>;
  private day = 0;

  constructor(
    private readonly beginMs: number,
    private readonly days: WorkDays,
  ) {
    this.off = new Set(days.daysOff);
  }

  /** One day more; false where no more are looked at. */
  private grow(): boolean {
    if (this.day >= MOST_DAYS) return false;
    const begin = new Date(this.beginMs);
    const [y, m, d] = [begin.getFullYear(), begin.getMonth(), begin.getDate() + this.day];
    this.day++;
    const date = new Date(y, m, d);
    if (this.off.has(dayOf(date.getTime()))) return true;
    for (const { fromMin, toMin } of this.days.hours[(date.getDay() + 6) % 7]) {
      const from = Math.max(this.beginMs, new Date(y, m, d, 0, fromMin).getTime());
      const to = new Date(y, m, d, 0, toMin).getTime();
      if (to <= from) continue;
      const last = this.to.length - 1;
      this.worked.push(last < 0 ? 0 : this.worked[last] + this.to[last] - this.from[last]);
      this.from.push(from);
      this.to.push(to);
    }
    return true;
  }

  /** The stretch that a moment is in, or the next one; -1 where there is none. */
  private at(ms: number): number {
    while (this.to.length === 0 || this.to[this.to.length - 1] <= ms) if (!this.grow()) return -1;
    let low = 0;
    let high = this.to.length - 1;
    while (low < high) {
      const mid = (low + high) >> 1;
      if (this.to[mid] > ms) high = mid;
      else low = mid + 1;
    }
    return low;
  }

  /** The first moment of work at or after a moment; infinite where there is none. */
  next(ms: number): number {
    const i = this.at(ms);
    return i < 0 ? Number.POSITIVE_INFINITY : Math.max(ms, this.from[i]);
  }

  /**
   * The first moment at or after another at which so much work can begin: in one stretch, or put down over breaks.
   * Infinite where there is none.
   */
  begin(ms: number, workMs: number, split: boolean): number {
    let i = this.at(ms);
    if (i < 0) return Number.POSITIVE_INFINITY;
    const first = Math.max(ms, this.from[i]);
    if (split || this.to[i] - first >= workMs) return first;
    for (i++; ; i++) {
      while (i >= this.to.length) if (!this.grow()) return Number.POSITIVE_INFINITY;
      if (this.to[i] - this.from[i] >= workMs) return this.from[i];
    }
  }

  /** When work that begins at a moment of work is over, breaks left out; infinite where that is too far ahead. */
  end(beginMs: number, workMs: number): number {
    if (workMs === 0) return beginMs;
    let i = this.at(beginMs);
    if (i < 0) return Number.POSITIVE_INFINITY;
    const start = Math.max(beginMs, this.from[i]);
    const until = this.worked[i] + (start - this.from[i]) + workMs;
    for (;;) {
      const last = this.to.length - 1;
      if (this.worked[last] + this.to[last] - this.from[last] >= until) break;
      if (!this.grow()) return Number.POSITIVE_INFINITY;
    }
    let high = this.to.length - 1;
    while (i < high) {
      const mid = (i + high) >> 1;
      if (this.worked[mid] + this.to[mid] - this.from[mid] >= until) high = mid;
      else i = mid + 1;
    }
    return this.from[i] + until - this.worked[i];
  }

  /** The stretches of work that begins at a moment of work. */
  stretches(beginMs: number, workMs: number): Stretch[] {
    const parts: Stretch[] = [];
    let left = workMs;
    for (let i = this.at(beginMs); left > 0 && i >= 0; i = this.at(this.to[i])) {
      const fromMs = Math.max(beginMs, this.from[i]);
      const toMs = Math.min(this.to[i], fromMs + left);
      parts.push({ fromMs, toMs });
      left -= toMs - fromMs;
    }
    return parts;
  }

  /** When so much work from a moment on is over at the earliest. */
  walked(ms: number, workMs: number): number {
    if (workMs === 0) return ms;
    const at = this.next(ms);
    return Number.isFinite(at) ? this.end(at, workMs) : at;
  }
}

/** The longest stretch of any day, min; 0 where there is none. */
export const longestStretchMin = ({ hours }: WorkDays): number =>
  Math.max(0, ...hours.flat().map(({ fromMin, toMin }) => toMin - fromMin));
