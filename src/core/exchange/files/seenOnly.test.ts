import { describe, expect, it } from "vitest";
import { TooMuchWork } from "../../base/work";
import { type FoundShapes, shapesIn } from "../pattern/found";
import { markIn } from "../pattern/markIn";
import { block, dxf, insert, lwpolyline, svg } from "./byHand.fixtures";
import { readDxf } from "./dxf/read";
import { readSvg } from "./svg/read";

const bytes = (text: string) => new TextEncoder().encode(text);

/** A rectangle from the origin on a layer. */
const box = (layer: string, width: number, height: number, more = "") =>
  lwpolyline([
    [0, 0, 0],
    [width, 0, 0],
    [width, height, 0],
    [0, height, 0],
  ]).replace("8 cut", `8 ${layer} ${more}`);

/** A square of 70 mm that begins so far to the right. */
const square = (x: number) =>
  lwpolyline([
    [x, 0, 0],
    [x + 70, 0, 0],
    [x + 70, 70, 0],
    [x, 70, 0],
  ]);

const areas = ({ shapes }: FoundShapes) => shapes.flatMap((s) => (s.kind === "outline" ? [s.areaMm2] : []));

const drawingOf = (text: string, read: typeof readDxf) => {
  const reading = read(bytes(text));
  if (!reading.ok) throw new Error(reading.code);
  return { ...reading.drawing, found: shapesIn(reading.drawing, reading.drawing.mmPerUnit ?? 1) };
};

/** @see DXF reference: LAYER (70 bit 1 is frozen, 62 below 0 is off), common group 60 (from memory). */
describe("of a DXF only what is seen is read", () => {
  const LAYERS = [
    ["CUT", 0, 7],
    ["Off", 0, -7],
    ["Frozen", 1, 7],
  ] as const;

  it("layers that are off or frozen, and entities that are marked invisible, are left out and counted", () => {
    const text = dxf(
      [
        box("cut", 100, 20),
        box("off", 200, 20),
        box("OFF", 210, 20),
        box("frozen", 220, 20),
        box("cut", 230, 20, "60 1"),
      ],
      4,
      [],
      LAYERS,
    );
    const { found, unseen } = drawingOf(text, readDxf);
    expect(areas(found)).toEqual([2000]);
    expect(unseen).toEqual({ "layer-off": 2, "layer-frozen": 1, "marked-invisible": 1 });
  });

  it("a block on a layer that is off shows its other layers; on one that is frozen it shows nothing", () => {
    const blocks = [block("b", 0, 0, [box("cut", 100, 20), box("0", 120, 20)])];
    const on = (layer: string) => dxf([insert("b", 0, 0).replace("8 cut", `8 ${layer}`)], 4, blocks, LAYERS);
    expect(areas(drawingOf(on("cut"), readDxf).found)).toEqual([2400, 2000]);
    // What lies on layer 0 lies on the layer that its block is put in on.
    expect(areas(drawingOf(on("off"), readDxf).found)).toEqual([2000]);
    const frozen = readDxf(bytes(on("frozen")));
    expect(frozen).toEqual({ ok: false, code: "no-lines", passedOver: {}, unseen: { "layer-frozen": 1 } });
  });
});

describe("of an SVG only what is seen is read", () => {
  const rect = (more: string, width = 50) => `<rect width="${width}" height="10" ${more}/>`;

  it("what is hidden is counted by why it is", () => {
    const text = svg(
      [
        rect(""),
        rect('display="none"'),
        `<g style="display:none">${rect("")}${rect("")}<text>a</text></g>`,
        rect('visibility="hidden"'),
        rect('opacity="0%"'),
        rect('fill="none"'),
        rect('x="900"'),
      ].join(""),
    );
    const { found, unseen, passedOver } = drawingOf(text, readSvg);
    expect(areas(found)).toEqual([500]);
    expect(unseen).toEqual({
      "not-displayed": 3,
      "marked-invisible": 1,
      transparent: 1,
      "no-paint": 1,
      "outside-page": 1,
    });
    expect(passedOver).toEqual({});
  });

  it("what is cut away in part, or moves, is told", () => {
    const text = svg(
      `${rect('clip-path="url(#c)"')}${rect('y="30" x="180"')}<g><animateTransform/>${rect('y="60"')}</g>`,
    );
    expect(drawingOf(text, readSvg).doubts).toEqual({ "cut-away": 2, animated: 1 });
  });

  it.each([
    ['<rect style="transform:perspective(4px)" width="9" height="9"/>', "perspective(4px)"],
    [
      '<rect style="transform:rotate(9deg);transform-box:fill-box;transform-origin:center" width="9" height="9"/>',
      "transform-box: fill-box",
    ],
    ['<rect width="9em" height="9"/>', "9em"],
    ['<rect style="width:calc(9px + 1mm)" height="9"/>', "calc(9px + 1mm)"],
    [
      '<style>@media (min-width:9px){rect{x:9px}}</style><rect width="9" height="9"/>',
      "@media (min-width:9px)",
    ],
    ["<style>g:has(rect){display:none}</style><g/>", "the selector :has()"],
  ])("%s is refused, and what is not understood is named", (inner, what) => {
    expect(readSvg(bytes(svg(inner)))).toEqual({ ok: false, code: "not-understood", what });
  });

  it("a share of a size that the file does not state is refused", () => {
    const reading = readSvg(bytes(svg('<rect width="9%" height="9"/>', "")));
    expect(reading).toMatchObject({ ok: false, code: "not-understood" });
  });

  it("rules that ask for more than they are long are answered", () => {
    const deep = (inner: string) => "<g>".repeat(300) + inner + "</g>".repeat(300);
    const wide = "<rect/>".repeat(20_000);
    for (const inner of [
      `<style>${"* ".repeat(12)}rect{fill:none}</style>${deep(rect(""))}`,
      `<style>rect:nth-last-of-type(7n+3){fill:none}</style>${wide}`,
      `<style>rect~rect~rect~path{fill:none}</style>${wide}`,
      `<style>${".a{fill:none}".repeat(3000)}</style>${wide}`,
    ])
      expect(readSvg(bytes(svg(inner)))).toMatchObject({ ok: false, code: "too-much" });
  });
});

describe("pages and frames", () => {
  const blank = '<path fill="none" stroke="red" d="M20 40H190L185 60H20Z"/>';

  it("a page's colour is named, and comes after the smallest outline", () => {
    const { found } = drawingOf(svg(`<rect width="100%" height="100%" fill="#fff"/>${blank}`), readSvg);
    const [first, last] = found.shapes;
    expect(first).toMatchObject({ kind: "outline", id: "shape-1" });
    expect(first).not.toHaveProperty("aside");
    expect(last).toMatchObject({ aside: "page" });
  });

  it("is none that is dark: a blank may fill its page", () => {
    const dark = '<rect width="200" height="30" fill="#222"/>';
    const head = 'width="200mm" height="30mm" viewBox="0 0 200 30"';
    const { found } = drawingOf(svg(`${dark}<circle cx="20" cy="15" r="3"/>`, head), readSvg);
    expect(found.shapes.map((s) => s.kind === "outline" && (s.aside ?? null))).toEqual([null, false]);
  });

  it("is not what a mark fills", () => {
    const letter = '<path fill="#000" d="M20 20h40v60h-40z"/>';
    const marked = (inner: string) => markIn(drawingOf(svg(inner), readSvg));
    for (const white of ["#fff", "white", "rgb(250, 250, 240)"])
      expect(marked(`<rect width="200" height="100" fill="${white}"/>${letter}`)).toEqual(marked(letter));
  });

  it("are looked for within the work that a file may ask for", () => {
    // None lies in another: every one is held against all.
    const squares = Array.from({ length: 6000 }, (_, i) => square(100 * i));
    expect(() => drawingOf(dxf(squares), readDxf)).toThrow(TooMuchWork);
  });

  it("so does a frame, of four lines as well, and one in another", () => {
    const line = (x0: number, y0: number, x1: number, y1: number) =>
      `0 LINE 8 frame 10 ${x0} 20 ${y0} 11 ${x1} 21 ${y1}`;
    const frame = (w: number, h: number) => [
      line(-5, -5, w, -5),
      line(w, -5, w, h),
      line(w, h, -5, h),
      line(-5, h, -5, -5),
    ];
    const { found } = drawingOf(dxf([...frame(297, 210), ...frame(287, 200), box("cut", 220, 35)]), readDxf);
    expect(found.shapes.map((s) => s.kind === "outline" && (s.aside ?? null))).toEqual([
      null,
      "frame",
      "frame",
    ]);
  });

  it("a rectangular guard with its slot, a slab and a box round holes are no frames", () => {
    const slot = box("cut", 25, 5);
    const hole = "0 CIRCLE 8 cut 10 20 20 20 40 3";
    for (const other of [slot, hole]) {
      const { found } = drawingOf(dxf([box("cut", 130, 40), other]), readDxf);
      expect(found.shapes.some((s) => s.kind === "outline" && s.aside)).toBe(false);
    }
  });
});

describe("gaps", () => {
  /** A blank of three lines whose ends miss each other by two gaps, mm. */
  const pieces = (a: number, b: number) => `<g fill="none" stroke="red">
    <path d="M10 10H190V40"/><path d="M190 ${40 + a}V60H10"/><path d="M${10 - b} 60V10"/></g>`;

  it("the widest of those that keep an outline open is told, and closed when it is asked for", () => {
    const reading = readSvg(bytes(svg(pieces(0.3, 0.8))));
    if (!reading.ok) throw new Error(reading.code);
    const found = shapesIn(reading.drawing, 1);
    expect(areas(found)).toEqual([]);
    expect(found.gapMm).toBeCloseTo(0.8, 9);
    const closed = shapesIn(reading.drawing, 1, undefined, 0.81);
    expect(closed.gapMm).toBeNull();
    expect(closed.widestJoinMm).toBeCloseTo(0.8, 9);
    // Straight lines across the gaps: the third line stands 0.8 mm farther out.
    expect(areas(closed)[0]).toBeCloseTo(180.8 * 50, 6);
  });

  it("one that is wider than any that is offered is none", () => {
    const reading = readSvg(bytes(svg(pieces(0.3, 9))));
    if (!reading.ok) throw new Error(reading.code);
    expect(shapesIn(reading.drawing, 1).gapMm).toBeNull();
  });
});
