import { layOutDemoKnivesOnce } from "./demo";
import { firstWorkshop, joinLoose } from "./workshops";

/** What there is from the first visit on: the demo knives, and a workshop that they follow. */
export async function firstVisit(): Promise<void> {
  const laidOut = await layOutDemoKnivesOnce();
  await firstWorkshop();
  if (laidOut) await joinLoose();
}
