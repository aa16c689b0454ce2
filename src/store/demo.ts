import bracken from "@demo/bracken-dagger.json";
import cairn from "@demo/cairn-bronze-grip.json";
import fen from "@demo/fen-rigging-knife.json";
import gorse from "@demo/gorse-guard-knife.json";
import heath from "@demo/heath-field-knife.json";
import holm from "@demo/holm-leather-stack.json";
import slicer from "@demo/long-meadow-slicer.json";
import marsh from "@demo/marsh-stick-tang.json";
import mere from "@demo/mere-framed-hunter.json";
import quarry from "@demo/old-quarry-re-handled.json";
import parer from "@demo/orchard-parer.json";
import reed from "@demo/reed-take-down-hunter.json";
import rook from "@demo/rook-hunter.json";
import chopper from "@demo/sallow-camp-chopper.json";
import skerry from "@demo/skerry-prototype.json";
import tarn from "@demo/tarn-ready-made-blade.json";
import type { Design } from "@/core/design/schema";
import { db } from "./db";
import { addKnife } from "./knives";

const DEMO_FILES = [
  heath,
  parer,
  slicer,
  chopper,
  rook,
  fen,
  gorse,
  marsh,
  bracken,
  reed,
  holm,
  mere,
  quarry,
  tarn,
  cairn,
  skerry,
];
const SEEDED = "demo-knives-laid-out";

/** Lays out the demo knives on the first visit only, so that deleting them lasts. */
export async function layOutDemoKnivesOnce(): Promise<void> {
  await db.transaction("rw", db.knives, db.settings, async () => {
    if (await db.settings.get(SEEDED)) return;
    await db.settings.put({ key: SEEDED, value: true });
    await addDemoKnives();
  });
}

/** Adds every demo knife again. */
export async function addDemoKnives(): Promise<void> {
  const from = Date.now();
  // Taken as they are: the tests hold that each is a whole design of the present version.
  for (const [i, file] of DEMO_FILES.entries()) await addKnife(file.knife as Design, from + i);
}
