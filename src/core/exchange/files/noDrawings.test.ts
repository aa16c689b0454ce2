import { describe, expect, it } from "vitest";
import { LARGEST_DRAWING_BYTES } from "../../geometry/contours/raw";
import { shapesIn } from "../pattern/found";
import { arc, block, circle, dxf, insert, line, lwpolyline, spline, svg } from "./byHand.fixtures";
import { readDxf } from "./dxf/read";
import { readSvg } from "./svg/read";

const bytes = (text: string) => new TextEncoder().encode(text);

describe("drawings that are none", () => {
  it.each([
    ["too large", readDxf, new Uint8Array(LARGEST_DRAWING_BYTES + 1), "too-large"],
    ["too large", readSvg, new Uint8Array(LARGEST_DRAWING_BYTES + 1), "too-large"],
    ["a picture", readDxf, Uint8Array.from([0x89, 0x50, 0x4e, 0x47, 13, 10, 26, 10]), "not-a-drawing"],
    ["a picture", readSvg, Uint8Array.from([0x89, 0x50, 0x4e, 0x47, 13, 10, 26, 10]), "not-a-drawing"],
    ["cut off", readSvg, bytes(svg("<g>").slice(0, 150)), "not-a-drawing"],
    ["another XML", readSvg, bytes("<html><svg/></html>"), "not-a-drawing"],
    ["of text only", readSvg, bytes(svg("<text>blank</text>")), "no-lines"],
    ["of text only", readDxf, bytes(dxf(["0 TEXT 8 0 10 1 20 1 40 3 1 blank"])), "no-lines"],
    [
      "a solid",
      readDxf,
      bytes(dxf(["0 3DFACE 8 0 10 0 20 0 30 0 11 9 21 0 31 0 12 9 22 9 32 9 13 0 23 9 33 9"])),
      "three-dimensional",
    ],
    ["in space", readDxf, bytes(dxf([line(0, 0, 9, 0), line(9, 0, 9, 9, 14)])), "three-dimensional"],
    [
      "without end",
      readDxf,
      bytes(
        dxf(
          [insert("A", 0, 0)],
          4,
          [
            block(
              "A",
              0,
              0,
              Array.from({ length: 60 }, (_, i) => circle(i, 0, 1)),
            ),
            "",
          ]
            .slice(0, 1)
            .concat(
              block(
                "B",
                0,
                0,
                Array.from({ length: 900 }, () => insert("A", 0, 0)),
              ),
            ),
        ),
      ),
      null,
    ],
    [
      "of blocks within blocks",
      readDxf,
      bytes(
        dxf([insert("C", 0, 0)], 4, [
          block(
            "A",
            0,
            0,
            Array.from({ length: 60 }, (_, i) => circle(i, 0, 1)),
          ),
          block(
            "B",
            0,
            0,
            Array.from({ length: 90 }, () => insert("A", 0, 0)),
          ),
          block(
            "C",
            0,
            0,
            Array.from({ length: 90 }, () => insert("B", 0, 0)),
          ),
        ]),
      ),
      "too-much",
    ],
  ] as const)("are said to be: %s", (_, read, content, code) => {
    const reading = read(content);
    expect(reading.ok ? null : reading.code).toBe(code);
  });

  it("never fail otherwise, whatever is broken off or changed in them", () => {
    const whole = dxf(
      [
        circle(3, 4, 5),
        lwpolyline([
          [0, 0, 0.3],
          [30, 0, -0.2],
          [0, 12, 0],
        ]),
        spline(
          2,
          [0, 0, 0, 1, 1, 1],
          [
            [0, 0, 1],
            [1, 1, 1],
            [2, 0, 1],
          ],
        ),
        insert("A", 1, 1),
      ],
      4,
      [block("A", 0, 0, [arc(0, 0, 1, 0, 90)])],
    );
    const drawn = svg('<path d="M0 0A5 5 0 1 0 10 10C1 2 3 4 5 6z" transform="rotate(9)"/><circle r="5"/>');
    for (const [text, read] of [
      [whole, readDxf],
      [drawn, readSvg],
    ] as const)
      for (let i = 0; i < text.length; i += 7)
        for (const broken of [
          text.slice(0, i),
          `${text.slice(0, i)}9e99${text.slice(i + 3)}`,
          `${text.slice(0, i)}NaN\n-${text.slice(i + 2)}`,
        ]) {
          const reading = read(bytes(broken));
          if (!reading.ok) continue;
          for (const s of shapesIn(reading.drawing, 1).shapes)
            expect(Object.values(s).every((v) => typeof v !== "number" || Number.isFinite(v))).toBe(true);
        }
  });
});
