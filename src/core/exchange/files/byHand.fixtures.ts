/** A DXF text of entities, of blocks and of layers (name, flags, colour), in a unit by its number. */
export function dxf(
  entities: readonly string[],
  units: number | null = 4,
  blocks: readonly string[] = [],
  layers: readonly (readonly [string, number, number])[] = [],
): string {
  const header =
    units === null
      ? []
      : ["0", "SECTION", "2", "HEADER", "9", "$INSUNITS", "70", String(units), "0", "ENDSEC"];
  const groups = (lines: readonly string[]) => lines.flatMap((l) => l.trim().split(/\s+/));
  const inBlocks = blocks.length > 0 ? ["0", "SECTION", "2", "BLOCKS", ...groups(blocks), "0", "ENDSEC"] : [];
  const table = layers.flatMap(([name, flags, colour]) => [
    ...["0", "LAYER", "2", name, "70", String(flags), "62", String(colour)],
  ]);
  const tables =
    layers.length > 0
      ? [
          "0",
          "SECTION",
          "2",
          "TABLES",
          "0",
          "TABLE",
          "2",
          "LAYER",
          "70",
          "9",
          ...table,
          "0",
          "ENDTAB",
          "0",
          "ENDSEC",
        ]
      : [];
  return [
    ...header,
    ...tables,
    ...inBlocks,
    "0",
    "SECTION",
    "2",
    "ENTITIES",
    ...groups(entities),
    "0",
    "ENDSEC",
    "0",
    "EOF",
    "",
  ].join("\n");
}

export const line = (x0: number, y0: number, x1: number, y1: number, z = 0) =>
  `0 LINE 8 cut 10 ${x0} 20 ${y0} 30 ${z} 11 ${x1} 21 ${y1} 31 ${z}`;
export const arc = (x: number, y: number, r: number, from: number, to: number, more = "") =>
  `0 ARC 8 cut 10 ${x} 20 ${y} 30 0 40 ${r} 50 ${from} 51 ${to} ${more}`;
export const circle = (x: number, y: number, r: number) => `0 CIRCLE 8 holes 10 ${x} 20 ${y} 30 0 40 ${r}`;
/** Vertices as x, y, bulge. */
export const lwpolyline = (vertices: readonly (readonly [number, number, number])[], closed = true) =>
  `0 LWPOLYLINE 8 cut 90 ${vertices.length} 70 ${closed ? 1 : 0} ${vertices.map(([x, y, b]) => `10 ${x} 20 ${y} 42 ${b}`).join(" ")}`;
export const polyline = (vertices: readonly (readonly [number, number, number])[]) =>
  `0 POLYLINE 8 cut 66 1 70 1 ${vertices.map(([x, y, b]) => `0 VERTEX 8 cut 10 ${x} 20 ${y} 30 0 42 ${b}`).join(" ")} 0 SEQEND`;
export const block = (name: string, x: number, y: number, entities: readonly string[]) =>
  `0 BLOCK 8 0 2 ${name} 70 0 10 ${x} 20 ${y} 30 0 3 ${name} ${entities.join(" ")} 0 ENDBLK`;
export const insert = (name: string, x: number, y: number, sx = 1, sy = 1, deg = 0) =>
  `0 INSERT 8 cut 2 ${name} 10 ${x} 20 ${y} 30 0 41 ${sx} 42 ${sy} 43 1 50 ${deg}`;
/** A rational quadratic B-spline: control points as x, y, weight. */
export const spline = (
  degree: number,
  knots: readonly number[],
  control: readonly (readonly [number, number, number])[],
) =>
  `0 SPLINE 8 cut 70 4 71 ${degree} 72 ${knots.length} 73 ${control.length} ${knots.map((k) => `40 ${k}`).join(" ")} ${control.map(([, , w]) => `41 ${w}`).join(" ")} ${control.map(([x, y]) => `10 ${x} 20 ${y} 30 0`).join(" ")}`;

/** An SVG text round its shapes, in mm unless its head says otherwise. */
export const svg = (inner: string, head = 'width="200mm" height="100mm" viewBox="0 0 200 100"') =>
  `<?xml version="1.0"?><svg xmlns="http://www.w3.org/2000/svg" xmlns:xlink="http://www.w3.org/1999/xlink" ${head}>${inner}</svg>`;
