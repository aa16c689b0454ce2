import { clamp } from "../../base/number";
import { cubicY } from "../../geometry/curve/bezier";
import { gripMaterials } from "../../knife/constructions/handles/registry";
import { materialsIn } from "../../knife/design/materials";
import type { Design } from "../../knife/design/schema";
import { layoutOf } from "../../knife/layout/layout";
import { movementOf } from "../../materials/working";

/**
 * Moisture content of wood, %, in air of a relative humidity (0 to 1) at a temperature.
 * @see USDA Wood Handbook, FPL-GTR-282, equation 4-5 (coefficients from memory; the tests hold it against table 4-2).
 */
export function moistureContent(relativeHumidity: number, celsius = 21): number {
  const h = clamp(relativeHumidity, 0, 0.99);
  const t = celsius;
  const W = 349 + 1.29 * t + 0.0135 * t * t;
  const K = 0.805 + 0.000736 * t - 0.00000273 * t * t;
  const K1 = 6.27 - 0.00938 * t - 0.000303 * t * t;
  const K2 = 1.91 + 0.0407 * t - 0.000293 * t * t;
  const kh = K * h;
  return (1800 / W) * (kh / (1 - kh) + (K1 * kh + 2 * K1 * K2 * kh * kh) / (1 + K1 * kh + K1 * K2 * kh * kh));
}

/** How far one wooden piece moves across its grain between the two humidities. */
export interface PieceMovement {
  readonly material: string;
  readonly acrossMm: number;
  /** Flat-sawn (tangential) is the most; quarter-sawn the least. */
  readonly mostMm: number;
  readonly leastMm: number;
  readonly source: string;
}

/** Movement across the height of each wood of the handle, over its tallest place. */
export function movement(design: Design): PieceMovement[] {
  const { fitUp } = design;
  const ys = layoutOf(design).outline.cubics.flatMap((c) => [0, 0.25, 0.5, 0.75, 1].map((t) => cubicY(c, t)));
  const acrossMm = Math.max(...ys) - Math.min(...ys);
  const { low, high } = fitUp.climate;
  const change = Math.abs(moistureContent(high / 100) - moistureContent(low / 100));
  const materialOf = materialsIn(design);
  return [...new Set(gripMaterials(design))].flatMap((material): PieceMovement[] => {
    const found = materialOf(material);
    const m = found && movementOf(found);
    if (!m) return [];
    return [
      {
        material,
        acrossMm,
        mostMm: m.tangential * change * acrossMm,
        leastMm: m.radial * change * acrossMm,
        source: m.source,
      },
    ];
  });
}
