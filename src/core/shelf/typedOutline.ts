import { enclosedArea } from "../geometry/curve/crossing";
import type { LotShape } from "./lot";

/** So many points and holes may be typed, and so far out. */
const MOST_POINTS = 500;
const MOST_HOLES = 60;
const FARTHEST_MM = 5000;

type Typed = Pick<LotShape<"piece">, "outline" | "holes" | "lengthMm" | "heightMm">;

export type OutlineReading =
  | { readonly ok: true; readonly shape: Typed }
  | { readonly ok: false; readonly says: string };

/** Numbers of a line, divided by commas, semicolons or spaces; null of anything else. */
function numbersOf(line: string): number[] | null {
  const numbers = line
    .trim()
    .split(/[\s;,]+/)
    .map((t) => (/^[-−]?\d+(\.\d+)?$/.test(t) ? Number(t.replace("−", "-")) : Number.NaN));
  return numbers.every((n) => Math.abs(n) <= FARTHEST_MM) ? numbers : null;
}

const linesOf = (text: string) => text.split("\n").filter((l) => l.trim() !== "");

/** A lot's outline and holes as they are typed, mm; its sizes are those of the box round it. Says what cannot be read. */
export function parseOutline(outlineText: string, holesText: string): OutlineReading {
  const wrong = (says: string): OutlineReading => ({ ok: false, says });
  const points = [];
  for (const [i, line] of linesOf(outlineText).entries()) {
    const numbers = numbersOf(line);
    if (numbers?.length !== 2) return wrong(`Line ${i + 1} is no point: two numbers, such as 120, 31.5.`);
    points.push({ x: numbers[0], y: numbers[1] });
  }
  if (points.length < 3) return wrong("An outline has three points at least.");
  if (points.length > MOST_POINTS) return wrong(`An outline has ${MOST_POINTS} points at most.`);
  if (enclosedArea(points) < 1) return wrong("These points go round nothing.");
  const holes = [];
  for (const [i, line] of linesOf(holesText).entries()) {
    const numbers = numbersOf(line);
    if (numbers?.length !== 3 || !(numbers[2] >= 0.1 && numbers[2] <= 200))
      return wrong(`Hole ${i + 1} is none: x, y and a diameter, such as 20, 12, 4.`);
    holes.push({ xMm: numbers[0], yMm: numbers[1], diameterMm: numbers[2] });
  }
  if (holes.length > MOST_HOLES) return wrong(`A lot has ${MOST_HOLES} holes at most.`);
  const xs = points.map((p) => p.x);
  const ys = points.map((p) => p.y);
  return {
    ok: true,
    shape: {
      outline: points,
      holes,
      lengthMm: Math.max(...xs) - Math.min(...xs),
      heightMm: Math.max(...ys) - Math.min(...ys),
    },
  };
}
