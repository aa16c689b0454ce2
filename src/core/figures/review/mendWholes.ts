import { isRecord } from "../../base/isRecord";
import { valueAt } from "../../base/record/path";
import type { Design } from "../../knife/design/schema";
import type { Fault } from "../../knife/parts/faults";
import { MADE } from "./fixes";
import type { Places } from "./mendPlaces";
import type { Fix } from "./types";

/** Faults of what was read. */
export const OF_READINGS: ReadonlySet<string> = new Set([
  "supports-together",
  "reading-over-weight",
  "balance-beyond-blade",
  "measured-too-far-off",
]);

/** Of a list so long half is tried to be taken out at once, where the whole is too much. */
const LONG_LIST = 8;

/** Everything that has an imported shape made without, at once. */
function plainShapes(design: Design, records: readonly string[]): readonly Fix[] {
  const paths = records.filter(
    (path) =>
      valueAt(design, `${path}.meshId`) !== undefined ||
      valueAt(design, `${path}.place.meshId`) !== undefined,
  );
  const shapes = paths.filter((path) => !path.endsWith(".place"));
  const [path, ...also] = shapes;
  return path === undefined ? [] : [{ kind: "clear", path, also }];
}

/** The rear half of each long list, which is taken out at once. */
function halvesOf(items: Places["items"]): readonly { list: string; at: number; count: number }[] {
  const lengths = new Map<string, number>();
  for (const { list } of items) lengths.set(list, (lengths.get(list) ?? 0) + 1);
  return [...lengths]
    .filter(([, length]) => length >= LONG_LIST)
    .map(([list, length]) => ({ list, at: Math.ceil(length / 2), count: Math.floor(length / 2) }));
}

/** What stands in for a material that is not known, by where it stands; of anything else the last. From common practice. */
const STAND_INS: readonly (readonly [RegExp, string])[] = [
  [/^blade\.steel$/, "steel-1084"],
  [/\.fill$/, "epoxy"],
  [/^(tang|guard|fasteners)\./, "mild-steel"],
  [/./, "g10"],
];

/** The first place in a knife where a text stands; null of none. */
function placeOf(value: unknown, text: string, path: string): string | null {
  if (value === text) return path;
  if (!isRecord(value) && !Array.isArray(value)) return null;
  for (const [key, inner] of Object.entries(value)) {
    const found = placeOf(inner, text, path === "" ? key : `${path}.${key}`);
    if (found !== null) return found;
  }
  return null;
}

/** Puts a known material wherever one stands that is not. */
function materialFixes(design: Design, { rule, subject }: Fault): readonly Fix[] {
  if (rule !== "unknown-material" || subject === null) return [];
  const path = placeOf(Object.fromEntries(MADE.map((part) => [part, design[part]])), subject, "");
  const to = path === null ? undefined : STAND_INS.find(([place]) => place.test(path))?.[1];
  return to === undefined ? [] : [{ kind: "material", from: subject, to }];
}

/** The items that may be taken out for a fault, those that it names first. */
function itemsFor(design: Design, { subject }: Fault, items: Places["items"]): Places["items"] {
  const isNamed = ({ list, at }: Places["items"][number]) =>
    subject !== null && valueAt(design, `${list}.${at}.id`) === subject;
  return [...items.filter(isNamed), ...items.filter((item) => !isNamed(item))];
}

/** What may be taken away, or made otherwise as a whole, for a fault: what suits it best first. None of it is tried yet. */
export function wholeFixes(design: Design, fault: Fault, { items, records }: Places): readonly Fix[] {
  const { rule, subject } = fault;
  const out = rule === "design-too-detailed" ? halvesOf(items) : itemsFor(design, fault, items);
  const left = OF_READINGS.has(rule) ? records.filter((path) => path.startsWith("blade.measured")) : records;
  const tangs = (["full", "hidden"] as const).filter((to) => to !== design.tang.kind);
  return [
    ...materialFixes(design, fault),
    ...(rule === "shapes-too-fine" ? plainShapes(design, records) : []),
    ...(rule === "duplicate-id" && subject !== null ? [{ kind: "own-ids", id: subject } as const] : []),
    ...out.map((item): Fix => ({ kind: "take-out", ...item })),
    ...left.map((path): Fix => ({ kind: "clear", path })),
    ...tangs.map((to): Fix => ({ kind: "tang", to })),
  ];
}
