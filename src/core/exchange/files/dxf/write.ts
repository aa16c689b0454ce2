import { DxfWriter, point2d, point3d, Units } from "@tarikjabiri/dxf";
import type { Drawing } from "../../../geometry/contours/drawing";

/** Half the length of a centre mark's strokes, mm. */
const MARK_MM = 1.5;

/**
 * A drawing as DXF text in millimetres: outlines as closed polylines with round pieces as bulges, holes as circles, one
 * layer a part; centre marks as crosses on a layer of their own.
 */
export function writeDxf({ layers }: Drawing): string {
  const dxf = new DxfWriter();
  dxf.setUnits(Units.Millimeters);
  dxf.setVariable("$MEASUREMENT", { 70: 1 });
  dxf.setVariable("$LASTSAVEDBY", { 1: "Euaxis" });
  for (const { name, loops, circles, centres } of layers) {
    dxf.addLayer(name, 7, "Continuous");
    dxf.setCurrentLayerName(name);
    for (const loop of loops)
      dxf.addLWPolyline(
        loop.map(({ x, y, bulge }) => ({ point: point2d(x, y), ...(bulge === 0 ? {} : { bulge }) })),
        { flags: CLOSED },
      );
    for (const { x, y, radiusMm } of circles) dxf.addCircle(point3d(x, y), radiusMm);
    if (centres.length === 0) continue;
    const marks = `${name}-marks`;
    dxf.addLayer(marks, 3, "Continuous");
    dxf.setCurrentLayerName(marks);
    for (const { x, y } of centres) {
      dxf.addLine(point3d(x - MARK_MM, y), point3d(x + MARK_MM, y));
      dxf.addLine(point3d(x, y - MARK_MM), point3d(x, y + MARK_MM));
    }
  }
  return dxf.stringify();
}

/** The flag of a polyline that comes back to where it began. */
const CLOSED = 1;
