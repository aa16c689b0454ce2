import { MATERIALS } from "@/core/materials/materials";
import { searchMaterials } from "@/core/materials/search";
import { command } from "../command";

export const materials = command({
  name: "materials",
  says: "the materials with density, range, hazards and source",
  args: [],
  options: { search: { value: "WORDS", says: "only those found by everyday words, best first" } },
  run: ({ text }) => {
    const words = text("search");
    return (words === undefined ? MATERIALS : searchMaterials(words)).map(
      ({ id, name, class: cls, densityGcc, source, hazards }) => ({
        id,
        name,
        class: cls,
        densityGcc,
        source,
        hazards,
      }),
    );
  },
});
