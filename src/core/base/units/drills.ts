/** A named inch drill: number (`#13`) or letter (`F`). Diameters in inches, as the standard gives them. */
export interface NamedDrill {
  readonly name: string;
  readonly diameterIn: number;
}

/**
 * Number drills 1 to 80, diameter in thousandths of an inch times ten (`#13` is 1850, 0.1850 in).
 * @see ASME B94.11M, twist drills; the test compares every entry with the `units` data.
 */
const NUMBER_TEN_THOUSANDTHS = [
  2280, 2210, 2130, 2090, 2055, 2040, 2010, 1990, 1960, 1935, 1910, 1890, 1850, 1820, 1800, 1770, 1730, 1695,
  1660, 1610, 1590, 1570, 1540, 1520, 1495, 1470, 1440, 1405, 1360, 1285, 1200, 1160, 1130, 1110, 1100, 1065,
  1040, 1015, 995, 980, 960, 935, 890, 860, 820, 810, 785, 760, 730, 700, 670, 635, 595, 550, 520, 465, 430,
  420, 410, 400, 390, 380, 370, 360, 350, 330, 320, 310, 292, 280, 260, 250, 240, 225, 210, 200, 180, 160,
  145, 135,
] as const;

/** Letter drills A to Z, thousandths of an inch. @see ASME B94.11M; the test compares with `units`. */
const LETTER_THOUSANDTHS = [
  234, 238, 242, 246, 250, 257, 261, 266, 272, 277, 281, 290, 295, 302, 316, 323, 332, 339, 348, 358, 368,
  377, 386, 397, 404, 413,
] as const;

/** All number drills, `#1` first. */
export const NUMBER_DRILLS: readonly NamedDrill[] = NUMBER_TEN_THOUSANDTHS.map((d, i) => ({
  name: `#${i + 1}`,
  diameterIn: d / 1e4,
}));

/** All letter drills, `A` first. */
export const LETTER_DRILLS: readonly NamedDrill[] = LETTER_THOUSANDTHS.map((d, i) => ({
  name: String.fromCharCode(65 + i),
  diameterIn: d / 1e3,
}));

const BY_NAME = new Map([...NUMBER_DRILLS, ...LETTER_DRILLS].map((d) => [d.name, d]));

/** The drill of that name (`#13`, `F`, `f`), or undefined when there is none. */
export function drillNamed(name: string): NamedDrill | undefined {
  return BY_NAME.get(name.toUpperCase());
}
