/**
 * A curve that closes like a root, in a variable in which it is smooth; u is 0 at its middle and 1 where it closes, at
 * parameter 0.
 */
export interface ClosingLaw {
  parameterAt(u: number): number;
  uAt(parameter: number): number;
  /** |du/dparameter| at a parameter whose place is u. */
  jacobianAt(parameter: number, u: number): number;
}

/** A quarter of a circle by the angle from its end. */
export const ROUND: ClosingLaw = {
  parameterAt: (u) => Math.acos(u < -1 ? -1 : Math.min(u, 1)),
  uAt: (angle) => Math.cos(angle),
  jacobianAt: (angle) => Math.sin(angle),
};

/**
 * A stretch of y where a region's surface closes like a root: from share `from` of the way between the middle of a
 * section and its end, to that end. `yAt(s)` answers y for a parameter of the law, and leaves the Jacobian |dy/ds| in `jacobian`.
 */
export class ClosingZone {
  readonly y0: number;
  readonly y1: number;
  /** The end, y0 or y1, at which the surface closes. */
  readonly outerY: number;
  jacobian = 0;
  private readonly reach: number;
  private readonly innerY: number;
  private readonly innerParameter: number;

  /** `side` is +1 for the end at higher y. `placed` is called with what was placed and by which parameter. */
  constructor(
    private readonly middleY: number,
    private readonly half: number,
    side: 1 | -1,
    private readonly law: ClosingLaw,
    from = 0,
    private readonly placed: ((y: number, parameter: number) => void) | null = null,
  ) {
    this.reach = side * half;
    this.innerY = middleY + this.reach * from;
    this.innerParameter = innerParameterOf(law, from);
    this.outerY = middleY + this.reach;
    this.y0 = Math.min(this.innerY, this.outerY);
    this.y1 = Math.max(this.innerY, this.outerY);
  }

  /** The parameters of its two ends, apart. */
  get span(): number {
    return Math.abs(this.innerParameter - this.toParameter(this.outerY));
  }

  toParameter(y: number): number {
    // Most panels end where the zone does.
    if (y === this.outerY) return 0;
    if (y === this.innerY) return this.innerParameter;
    return this.law.parameterAt((y - this.middleY) / this.reach);
  }

  yAt(parameter: number): number {
    const u = this.law.uAt(parameter);
    const y = this.middleY + this.reach * u;
    this.jacobian = this.half * this.law.jacobianAt(parameter, u);
    this.placed?.(y, parameter);
    return y;
  }
}

const inner = new WeakMap<ClosingLaw, { from: number; parameter: number }>();

/** The parameter where a zone begins: of one law all zones begin at the same. */
function innerParameterOf(law: ClosingLaw, from: number): number {
  const known = inner.get(law);
  if (known?.from === from) return known.parameter;
  const parameter = law.parameterAt(from);
  inner.set(law, { from, parameter });
  return parameter;
}
