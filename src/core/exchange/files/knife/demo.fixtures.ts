import { readdirSync, readFileSync } from "node:fs";
import type { Design } from "../../../knife/design/schema";
import { readFixed } from "./readFixed";

/** The demo knives by their files' names, as they are read. */
export const DEMO_KNIVES: readonly (readonly [string, Design])[] = readdirSync("demo")
  .filter((f) => f.endsWith(".json"))
  .map((file) => {
    const reading = readFixed(readFileSync(`demo/${file}`));
    if (!reading.ok) throw new Error(file);
    return [file, reading.design];
  });
