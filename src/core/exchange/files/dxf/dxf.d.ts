/** What is used of the parser, which ships no types. Numbers that the file leaves out are left out. */
declare module "dxf" {
  interface Place {
    x?: number;
    y?: number;
    z?: number;
  }
  interface Entity {
    type: string;
    layer?: string;
    paperSpace?: number;
    visible?: boolean;
    extrusionZ?: number;
  }
  type Known =
    | (Entity & { type: "LINE"; start: Place; end: Place })
    | (Entity & { type: "LWPOLYLINE"; closed?: boolean; vertices: (Place & { bulge?: number })[] })
    | (Entity & {
        type: "POLYLINE";
        closed?: boolean;
        polygonMesh?: boolean;
        polyfaceMesh?: boolean;
        vertices: (Place & { bulge?: number })[];
      })
    | (Entity & Place & { type: "CIRCLE"; r?: number })
    | (Entity & Place & { type: "ARC"; r?: number; startAngle?: number; endAngle?: number })
    | (Entity &
        Place & {
          type: "ELLIPSE";
          majorX?: number;
          majorY?: number;
          axisRatio?: number;
          startAngle?: number;
          endAngle?: number;
        })
    | (Entity & {
        type: "SPLINE";
        closed?: boolean;
        degree?: number;
        knots: number[];
        weights?: number[];
        controlPoints: Place[];
      })
    | (Entity &
        Place & {
          type: "INSERT";
          block?: string;
          scaleX?: number;
          scaleY?: number;
          rotation?: number;
          columnCount?: number;
          rowCount?: number;
          columnSpacing?: number;
          rowSpacing?: number;
        });
  interface Parsed {
    header: { insUnits?: number };
    blocks: { name?: string; x?: number; y?: number; entities?: Entity[] }[];
    entities: Entity[];
  }
  export function parseString(text: string): Parsed;
  export function toPolylines(parsed: Parsed): { polylines: { vertices: [number, number][] }[] };
  export const config: { verbose: boolean };
}
