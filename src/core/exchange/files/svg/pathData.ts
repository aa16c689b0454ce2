import { numberEnd, pastSpace } from "./numbers";

/** A piece of a path in absolute coordinates: its letter M, L, C, Q, A or Z, and its numbers. */
export interface Segment {
  readonly kind: "M" | "L" | "C" | "Q" | "A" | "Z";
  readonly n: readonly number[];
}

/** The last control point of a curve, and of what kind of curve. */
interface Control {
  readonly x: number;
  readonly y: number;
  readonly of: "c" | "q";
}

/** Numbers to a command. */
const COUNTS: ReadonlyMap<string, number> = new Map([
  ["m", 2],
  ["l", 2],
  ["h", 1],
  ["v", 1],
  ["c", 6],
  ["s", 4],
  ["q", 4],
  ["t", 2],
  ["a", 7],
  ["z", 0],
]);

/**
 * The pieces of path data, absolute and with what is short for others written out, up to the first thing that is none:
 * as browsers draw it. In time that goes with its length.
 * @see Scalable Vector Graphics (SVG) 2, 9.3 and 9.5 (from memory).
 */
export function* segmentsOf(d: string): Generator<Segment> {
  let [x, y, startX, startY] = [0, 0, 0, 0];
  let control: Control | null = null;
  let at = pastSpace(d, 0);
  let command = "";
  let begun = false;
  while (at < d.length) {
    const letter = d[at];
    const lower = letter.toLowerCase();
    if (COUNTS.has(lower)) {
      command = letter;
      at = pastSpace(d, at + 1);
    } else if (command === "" || command.toLowerCase() === "z") return;
    else if (command === "m" || command === "M") command = command === "m" ? "l" : "L";
    const kind = command.toLowerCase();
    if (!begun && kind !== "m") return;
    const read = numbersAt(d, at, COUNTS.get(kind) ?? 0, kind === "a");
    if (!read) return;
    at = read.end;
    begun = true;
    const relative = command === kind;
    const [dx, dy] = relative ? [x, y] : [0, 0];
    const n = read.n;
    let next: Control | null = null;
    switch (kind) {
      case "m":
        [x, y] = [n[0] + dx, n[1] + dy];
        [startX, startY] = [x, y];
        yield { kind: "M", n: [x, y] };
        break;
      case "l":
      case "h":
      case "v":
        if (kind !== "v") x = n[0] + dx;
        if (kind === "v") y = n[0] + dy;
        if (kind === "l") y = n[1] + dy;
        yield { kind: "L", n: [x, y] };
        break;
      case "c":
      case "s": {
        const first = kind === "c" ? [n[0] + dx, n[1] + dy] : mirrored(control, "c", x, y);
        const rest = kind === "c" ? n.slice(2) : n;
        next = { x: rest[0] + dx, y: rest[1] + dy, of: "c" };
        [x, y] = [rest[2] + dx, rest[3] + dy];
        yield { kind: "C", n: [...first, next.x, next.y, x, y] };
        break;
      }
      case "q":
      case "t": {
        const [cx, cy]: readonly number[] =
          kind === "q" ? [n[0] + dx, n[1] + dy] : mirrored(control, "q", x, y);
        next = { x: cx, y: cy, of: "q" };
        const rest = kind === "q" ? n.slice(2) : n;
        [x, y] = [rest[0] + dx, rest[1] + dy];
        yield { kind: "Q", n: [cx, cy, x, y] };
        break;
      }
      case "a":
        [x, y] = [n[5] + dx, n[6] + dy];
        yield { kind: "A", n: [...n.slice(0, 5), x, y] };
        break;
      default:
        [x, y] = [startX, startY];
        yield { kind: "Z", n: [] };
    }
    control = next;
    at = pastSpace(d, at);
  }
}

/** The control point of a curve that goes on smoothly from one of its kind; the place itself from anything else. */
const mirrored = (control: Control | null, of: "c" | "q", x: number, y: number): readonly number[] =>
  control?.of === of ? [2 * x - control.x, 2 * y - control.y] : [x, y];

/** So many numbers, the two flags of an arc as one digit each; null where they are not there. */
function numbersAt(
  d: string,
  from: number,
  count: number,
  arc: boolean,
): { readonly n: readonly number[]; readonly end: number } | null {
  const n: number[] = [];
  let at = from;
  while (n.length < count) {
    at = pastSpace(d, at);
    const isFlag = arc && (n.length === 3 || n.length === 4);
    const end = isFlag ? (d[at] === "0" || d[at] === "1" ? at + 1 : at) : numberEnd(d, at);
    if (end === at) return null;
    n.push(Number(d.slice(at, end)));
    at = end;
  }
  return { n, end: at };
}
