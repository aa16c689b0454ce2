import { readShelf } from "@/core/exchange/files/shelf/shelf";
import { today } from "@/core/knife/design/job";
import { materialsIn } from "@/core/knife/design/materials";
import { materialsWith } from "@/core/materials/own/known";
import type { OwnMaterial } from "@/core/materials/own/types";
import { USUAL_SCHOOLS } from "@/core/plan/types";
import { modelOf } from "@/core/products/modelOf";
import type { Lot } from "@/core/shelf/lot";
import { type Forging, USUAL_SCALE_SHARE } from "@/core/shelf/needs";
import { shoppingList, USUAL_SHOPPING } from "@/core/shelf/shopping";
import {
  itemCount,
  itemMaterial,
  itemName,
  itemSize,
  shelfFailureWords,
  shelfProblemWords,
  stuffWords,
} from "@/words/shelf";
import { command } from "../command";
import { bytesOf, weighed } from "../input";
import { Refusal } from "../refusal";

/** Thickness that is ground off all round a forging, mm. From memory. */
const GRIND_MM = 0.5;
const BAR = /^(\d+(?:\.\d+)?)x(\d+(?:\.\d+)?)mm$/;

function forgingIn(typed: string | undefined): Forging | null {
  if (typed === undefined) return null;
  const [widthMm, thicknessMm] = (BAR.exec(typed) ?? []).slice(1).map(Number);
  if (!(widthMm >= 1 && widthMm <= 500 && thicknessMm >= 1 && thicknessMm <= 100))
    throw new Refusal(`--forged is the bar's section, such as 25x6mm, not "${typed}"`);
  return { widthMm, thicknessMm, scaleShare: USUAL_SCALE_SHARE, grindMm: GRIND_MM };
}

async function lotsIn(path: string | undefined): Promise<readonly Lot[]> {
  if (path === undefined) return [];
  const reading = readShelf(await bytesOf(path));
  if (!reading.ok) throw new Refusal(`${path}: ${shelfFailureWords(reading)}`);
  return reading.lots;
}

/** What has to be bought for knives, after what is on the shelf. */
export const shopping = command({
  name: "shopping",
  says: "what to buy for knives, after what is on the shelf: stock, rods, screws, glue, abrasives",
  args: ["FILE…"],
  options: {
    shelf: { value: "SHELF.json", says: "lots that are there" },
    spares: { value: null, says: "with a spare of what one mistake ruins" },
    forged: { value: "25x6mm", says: "blades are forged of a bar of that section" },
  },
  run: async ({ args: files, text, has }) => {
    const forged = forgingIn(text("forged"));
    const lots = await lotsIn(text("shelf"));
    const knives = [];
    const own = new Map<string, OwnMaterial>();
    for (const file of files) {
      const { design } = await weighed(file);
      const { needs } = await modelOf(design).making();
      for (const m of design.materials) own.set(m.id, m);
      knives.push({
        knife: design.name,
        needs: needs(design, USUAL_SCHOOLS, forged) ?? [],
        of: materialsIn(design),
      });
    }
    const day = today();
    const { items, taken, problems } = shoppingList(knives, lots, {
      ...USUAL_SHOPPING,
      spares: has("spares"),
      day,
    });
    const materialOf = materialsWith([...own.values()]);
    return {
      items: items.map((item) => ({
        what: itemName(item, materialOf),
        material: itemMaterial(item, materialOf),
        size: itemSize(item, "metric"),
        count: itemCount(item),
        for: item.for,
        spare: item.spare,
      })),
      fromShelf: taken.map(({ knife, lot, used, reserved }) => ({
        knife,
        lot: lot.name,
        of: stuffWords(lot.of, materialOf),
        used,
        reserved,
      })),
      problems: problems.map((p) => shelfProblemWords(p, "metric")),
    };
  },
});
