import { densityOf, parseBox, parseWeight } from "@/core/base/units/weighedPiece";
import { command } from "../command";
import { Refusal } from "../refusal";

export const density = command({
  name: "density",
  says: "density of a piece from its weight and sides, and how sure it is",
  args: [],
  options: {
    mass: { value: "41.2g", says: "its weight, in g, kg, oz or lb", needed: true },
    size: { value: "120x40x10mm", says: "length, height and thickness", needed: true },
  },
  run: ({ needed }) => {
    const [mass, size] = [needed("mass"), needed("size")];
    const massG = parseWeight(mass);
    if (!massG) throw new Refusal(`--mass is a weight in g, kg, oz or lb, such as 41.2g, not "${mass}"`);
    const sides = parseBox(size);
    if (!sides)
      throw new Refusal(`--size is length x height x thickness, such as 120x40x10mm, not "${size}"`);
    const found = densityOf(massG, sides);
    if (!found) throw new Refusal("weight and sides must be above zero");
    return found;
  },
});
