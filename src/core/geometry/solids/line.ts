/** A height that runs straight along the knife: z = `at0` + `slope` · x, mm. */
export interface Line {
  readonly at0: number;
  readonly slope: number;
}

/** The height of a line at x. */
export function lineAt(line: Line, x: number): number {
  return line.at0 + line.slope * x;
}

/** A line shifted in z, or mirrored to the other side of the centre plane. */
export function shifted(line: Line, by: number, mirror = false): Line {
  const s = mirror ? -1 : 1;
  return { at0: s * (line.at0 + by), slope: s * line.slope };
}
