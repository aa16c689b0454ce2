import { expect, test } from "@playwright/test";
import sharp from "sharp";
import { readSvg } from "../src/core/exchange/files/svg/read";
import { shapesIn } from "../src/core/exchange/pattern/found";

/** Screen pixels to a millimetre. @see CSS Values and Units 3, absolute lengths */
const PX_PER_MM = 96 / 25.4;
/** A border lies on whole pixels of the picture no better than this, px. */
const BORDER_PX = 1.6;
/** Smoothed borders take or give this share of what is drawn. */
const AREA_SHARE = 0.02;

const HEAD = 'width="200mm" height="150mm" viewBox="0 0 200 150"';
/** A closed shape that is not alike any way round. */
const FLAG = "M0 0h30v6h-18v12h-12z";

interface Case {
  readonly name: string;
  readonly head?: string;
  readonly inner: string;
}

/** What each of them shows is asked of the browser, whose picture is measured. */
const CASES: readonly Case[] = [
  { name: "a path as it stands", inner: `<path transform="translate(20 30)" d="${FLAG}"/>` },
  {
    name: "what a class, an attribute, a parent or a style hides",
    inner: `<style>.aid{display:none} [data-kind="note"]{visibility:hidden} #quiet rect{opacity:0} .cut, path.cut{fill:none;stroke:none}</style>
      <g class="aid"><path d="M0 0h90v90h-90z"/></g><rect data-kind="note" width="150" height="20"/>
      <g id="quiet"><rect y="100" width="150" height="20"/></g><path class="cut" d="M1 1h150v100h-150z"/>
      <rect fill-opacity="0" width="190" height="140"/><rect style="fill:rgba(0,0,0,0)" width="190" height="140"/>
      <rect fill="#00000000" width="180" height="140"/><rect fill="transparent" width="180" height="140"/>
      <path transform="translate(40 50)" d="${FLAG}"/>`,
  },
  {
    name: "a rule of more weight, and one that is important, over others",
    inner: `<style>#far.flag{display:inline} .flag{display:none} path{display:none !important} path#far.flag{display:inline !important}</style>
      <path class="flag" d="M0 0h150v100h-150z"/><path id="far" class="flag" transform="translate(60 20)" d="${FLAG}"/>`,
  },
  {
    name: "a child that is seen in a group that is not",
    inner: `<g visibility="hidden"><rect width="150" height="140"/><path visibility="visible" transform="translate(10 10)" d="${FLAG}"/></g>`,
  },
  {
    name: "a style that turns about its origin",
    inner: `<path style="transform:rotate(0.125turn) scale(1.5, 80%);transform-origin:70px 60px" transform="translate(500)" d="M60 50h30v6h-18v12h-12z"/>`,
  },
  {
    name: "an origin by shares and words of the view box",
    inner: `<path style="transform:rotate(30deg);transform-origin:center 50%" d="M80 60h30v6h-18v12h-12z"/>`,
  },
  {
    name: "properties that move by themselves, and lengths with units",
    inner: `<path style="translate:20px 15px;rotate:20deg;scale:1.25" d="${FLAG}"/>`,
  },
  {
    name: "a transform that cannot be read whole",
    inner: `<path transform="translate(40 30) rotate(oops)" d="M20 20h30v6h-18v12h-12z"/>`,
  },
  {
    name: "units on attributes",
    head: 'width="200mm" height="150mm"',
    inner: '<rect x="20mm" y="1in" width="6cm" height="36pt" rx="2mm"/><circle cx="50%" cy="110mm" r="1pc"/>',
  },
  {
    name: "a window in the drawing, its view box in the middle of it",
    inner: `<svg x="20" y="10" width="100" height="60" viewBox="0 0 40 40"><path transform="translate(3 8)" d="${FLAG}"/></svg>`,
  },
  ...["xMinYMin", "xMaxYMid slice", "none", "xMidYMax meet"].map(
    (fit): Case => ({
      name: `a window that is fitted by ${fit}`,
      inner: `<svg x="30" y="20" width="120" height="60" viewBox="5 5 40 40" preserveAspectRatio="${fit}"><path transform="translate(8 16)" d="${FLAG}"/></svg>`,
    }),
  ),
  {
    name: "a symbol that is used at a size",
    inner: `<symbol id="s" viewBox="0 0 30 18"><path d="${FLAG}"/></symbol><use href="#s" x="30" y="20" width="90" height="80"/>`,
  },
  {
    name: "a group that is used twice, moved and turned",
    inner: `<defs><g id="g" transform="scale(1.5)"><path d="${FLAG}"/></g></defs><use href="#g" x="10" y="10"/><use href="#g" transform="translate(150 60) rotate(90)"/>`,
  },
  {
    name: "the first choice that holds",
    inner: `<switch><g requiredExtensions="http://example.invalid/x"><rect width="150" height="140"/></g><path transform="translate(5 5)" d="${FLAG}"/><rect width="190" height="140"/></switch>`,
  },
  {
    name: "what lies outside the page",
    inner: `<path transform="translate(20 30)" d="${FLAG}"/><rect x="260" y="10" width="60" height="40"/>`,
  },
  {
    name: "a page that is stretched",
    head: 'width="200mm" height="150mm" viewBox="0 0 100 150" preserveAspectRatio="none"',
    inner: `<path transform="translate(20 30)" d="${FLAG}"/>`,
  },
  {
    name: "areas that are filled and left open",
    inner:
      '<path fill="#000" d="M20 20L120 20L120 60L60 90"/><polyline style="fill:black" points="20 100 80 100 60 140"/>',
  },
  {
    name: "shapes whose sizes a style says",
    inner: `<style>rect{x:30px;y:20px;width:60px;height:25px;rx:6px} path{d:path("M100 80h30v6h-18v12h-12z")}</style><rect/><path/>`,
  },
];

const svg = ({ head = HEAD, inner }: Case) =>
  `<svg xmlns="http://www.w3.org/2000/svg" ${head}>${inner}</svg>`;

test("an SVG is read as the browser draws it: what is seen, where, and how large", async ({ page }) => {
  await page.setViewportSize({ width: 1000, height: 700 });
  for (const one of CASES) {
    const text = svg(one);
    await page.setContent(`<style>body{margin:0}svg{display:block}</style>${text}`);
    const picture = await sharp(await page.screenshot())
      .greyscale()
      .raw()
      .toBuffer({ resolveWithObject: true });
    const drawn = inkOf(picture.data, picture.info.width);
    const reading = readSvg(new TextEncoder().encode(text));
    if (!reading.ok) throw new Error(`${one.name}: ${reading.code}`);
    const { drawing } = reading;
    const { shapes } = shapesIn(drawing, (drawing.mmPerUnit ?? 1) * PX_PER_MM);
    const read = areaOf(drawing.runs.flatMap((r) => r.points.map((p) => scaled(p, drawing.mmPerUnit ?? 1))));
    for (const side of ["x0", "x1", "y0", "y1"] as const)
      expect(
        Math.abs(read[side] - drawn[side]),
        `${one.name}: ${side} ${read[side]} ${drawn[side]}`,
      ).toBeLessThan(BORDER_PX);
    const area = shapes.reduce(
      (sum, s) =>
        sum + (s.kind === "outline" ? s.areaMm2 : s.kind === "circle" ? Math.PI * s.radiusMm ** 2 : 0),
      0,
    );
    expect(Math.abs(area / drawn.area - 1), `${one.name}: area`).toBeLessThan(AREA_SHARE);
  }
});

interface Ink {
  readonly x0: number;
  readonly x1: number;
  readonly y0: number;
  readonly y1: number;
}

const scaled = (p: { x: number; y: number }, mmPerUnit: number) => ({
  x: p.x * mmPerUnit * PX_PER_MM,
  y: -p.y * mmPerUnit * PX_PER_MM,
});

function areaOf(points: readonly { x: number; y: number }[]): Ink {
  const [xs, ys] = [points.map((p) => p.x), points.map((p) => p.y)];
  return { x0: Math.min(...xs), x1: Math.max(...xs), y0: Math.min(...ys), y1: Math.max(...ys) };
}

/** The dark part of a grey picture: how much there is, in pixels, and its box. */
function inkOf(data: Uint8Array, width: number): Ink & { readonly area: number } {
  let [x0, x1, y0, y1, area] = [Infinity, -Infinity, Infinity, -Infinity, 0];
  data.forEach((shade, i) => {
    if (shade > 250) return;
    const [x, y] = [i % width, Math.floor(i / width)];
    [x0, x1, y0, y1] = [Math.min(x0, x), Math.max(x1, x + 1), Math.min(y0, y), Math.max(y1, y + 1)];
    area += (255 - shade) / 255;
  });
  return { x0, x1, y0, y1, area };
}
