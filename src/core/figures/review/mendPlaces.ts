import { isRecord } from "../../base/isRecord";
import { type Limits, limitsAt } from "../../knife/design/limits";
import type { Design } from "../../knife/design/schema";
import { MADE } from "./fixes";

/** What was read off a scale or a rule is never guessed at: it is taken away at most. */
const READ = /^blade\.measured\./;

/** A number of a design, and how far it may go. */
export interface Place {
  readonly path: string;
  readonly value: number;
  readonly limits: Limits;
}

/** What may be looked for in a design: its numbers, its lists' items, and what may be there or not. */
export interface Places {
  readonly numbers: readonly Place[];
  readonly items: readonly { readonly list: string; readonly at: number }[];
  readonly records: readonly string[];
}

export function placesOf(design: Design): Places {
  const numbers: Place[] = [];
  const items: { list: string; at: number }[] = [];
  const records: string[] = [];
  const walk = (value: unknown, path: string): void => {
    if (typeof value === "number") {
      const limits = READ.test(path) ? null : limitsAt(design, path);
      if (limits) numbers.push({ path, value, limits });
      // What was read goes back to not being read.
      if (READ.test(path)) records.unshift(path);
    } else if (Array.isArray(value)) {
      value.forEach((item, at) => {
        if (isRecord(item)) items.push({ list: path, at });
        walk(item, `${path}.${at}`);
      });
    } else if (isRecord(value)) {
      if (path.includes(".") || path === "guard") records.push(path);
      for (const [key, inner] of Object.entries(value))
        if (key !== "asWeighed") walk(inner, `${path}.${key}`);
    }
  };
  for (const part of MADE) walk(design[part], part);
  return { numbers, items, records };
}
