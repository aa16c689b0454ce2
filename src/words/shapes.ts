import { printLengthPlain, type UnitSystem } from "@/core/base/units/print";
import type { Repair, ShapeFailure } from "@/core/exchange/files/mesh/importShape";
import type { MeshUnit } from "@/core/exchange/files/mesh/soup";

export const MESH_UNIT_WORDS: Record<MeshUnit, string> = {
  micron: "microns",
  millimeter: "millimetres",
  centimeter: "centimetres",
  inch: "inches",
  foot: "feet",
  meter: "metres",
};

/** Why a shape was refused, in plain words. */
export function shapeFailureWords(failure: ShapeFailure, units: UnitSystem): string {
  switch (failure.code) {
    case "too-large":
      return `The file has ${Math.round(failure.bytes / 1e6)} MB; up to ${Math.round(failure.limit / 1e6)} MB are taken. Reduce its triangles where it was drawn.`;
    case "not-a-mesh":
      return "This is neither an STL nor a 3MF file.";
    case "damaged":
      return "The file is damaged or cut short: its triangles cannot be read.";
    case "not-finite":
      return "The file holds numbers that are none: it is damaged.";
    case "empty":
      return "The shape encloses nothing.";
    case "crosses-itself":
      return "The shape crosses itself, so what is inside it is not defined. Join its bodies into one where it was drawn.";
    case "open":
      return `The shape is not closed: ${failure.edges} of its edges do not join two triangles, so it has no weight. Close it where it was drawn.`;
    case "size":
      return `The shape would be ${printLengthPlain(failure.mm, units, 0)} long; up to ${printLengthPlain(failure.limit, units, 0)} are taken. Is its unit right?`;
    case "crowded":
      return `At one corner of the shape ${failure.triangles.toLocaleString("en")} triangles meet; up to ${failure.limit.toLocaleString("en")} may. Draw its round faces with fewer sides.`;
    case "too-fine":
      return `The shape has ${failure.triangles.toLocaleString("en")} triangles or more; up to ${failure.limit.toLocaleString("en")} are taken. Reduce them where it was drawn.`;
  }
}

/** What was done to a shape on its way in. */
export function repairWords(repair: Repair): string {
  switch (repair.code) {
    case "scaled":
      return repair.stated
        ? `Its unit is ${MESH_UNIT_WORDS[repair.unit]}: scaled to millimetres.`
        : `Its size looks like ${MESH_UNIT_WORDS[repair.unit]}: scaled to millimetres. Choose the unit if that is wrong.`;
    case "joined":
      return "Corners that nearly met were joined.";
    case "turned-inside-out":
      return "It was inside out: turned.";
    case "slivers-dropped":
      return `${repair.count} triangles without area were left out.`;
    case "simplified":
      return `Simplified from ${repair.from} to ${repair.to} triangles: its volume changed by ${(repair.volumeShare * 100).toFixed(2)} %.`;
  }
}
