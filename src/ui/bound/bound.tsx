"use client";
import { memo } from "react";
import { valueAt } from "@/core/base/record/path";
import { GRAMS_PER_OUNCE, type MeasureKind, measureOf } from "@/core/base/units/print";
import type { FixedPath } from "@/core/edit/fixed/edits";
import { type Limits, limitsAt } from "@/core/knife/design/limits";
import type { Design } from "@/core/knife/design/schema";
import type { MaterialClass } from "@/core/materials/types";
import { useUnits } from "@/store/settings";
import { fieldName } from "@/words/fields";
import { ChoiceField } from "../fields/ChoiceField";
import { LengthField } from "../fields/LengthField";
import { ShareField } from "../fields/ShareField";
import { Tick } from "../fields/Tick";
import { useBench, useDesign } from "../session/BenchContext";
import { LockAt } from "./LockToggle";
import { FOR_FILLS, MaterialField } from "./MaterialField";

/** A field bound to a place in the design, by its dotted path. Each edit is one step of undo. */
interface Bound<V> {
  readonly at: FixedPath<V>;
  /** Where the field is called otherwise than usually. */
  readonly label?: string;
  readonly help?: string;
}

/** A number that may have no figure yet: an empty field, which takes one. */
interface Open {
  readonly open?: boolean;
}

/** Reads and writes one place of the design. */
export function useAt<T>(path: FixedPath<T>): [T, (value: T) => void] {
  const { edit } = useBench();
  const value = useDesign((d) => valueAt(d, path)) as T;
  const put = (to: T) => void edit({ code: "set", path: path as FixedPath, to });
  return [value, put];
}

/** What the field at a place is called. */
const useLabel = (path: string, label: string | undefined) => useDesign((d) => label ?? fieldName(path, d));

/** The limits of a number as it is shown: those of the schema, turned round where its sign is. */
export function shownLimits(design: Design, path: string, sign: 1 | -1 = 1): { min: number; max: number } {
  return shown(limitsAt(design, path), path, sign);
}

/** The same of the knife on the bench. */
export function useShownLimits(path: string, sign: 1 | -1 = 1): { min: number; max: number } {
  return shown(
    useDesign((d) => limitsAt(d, path)),
    path,
    sign,
  );
}

function shown(limits: Limits | null, path: string, sign: 1 | -1) {
  if (!limits) throw new Error(`${path} is no number of a design`);
  const { low, high } = limits;
  return sign === 1 ? { min: low, max: high } : { min: -high, max: -low };
}

/** A length within its schema's limits, or narrower ones; `behind` shows a station as its distance behind the front. */
export const LengthAt = memo(function LengthAt(
  props: Bound<number> & Open & { min?: number; max?: number; digits?: number; behind?: boolean },
) {
  const limits = useDesign((d) => limitsAt(d, props.at));
  const [mm, put] = useAt<number | null>(props.at as FixedPath<number | null>);
  const label = useLabel(props.at, props.label);
  if (typeof mm !== "number" && !(props.open && mm === null)) return null;
  const sign = props.behind ? -1 : 1;
  const { min, max } = shown(limits, props.at, sign);
  return (
    <LockAt at={props.at}>
      <LengthField
        label={label}
        help={props.help}
        min={props.min ?? min}
        max={props.max ?? max}
        digits={props.digits}
        mm={mm === null ? null : sign * mm + 0}
        onChange={(to) => put(sign * to + 0)}
        onClear={props.open ? () => put(null) : undefined}
      />
    </LockAt>
  );
});

/** The items that stand somewhere on the side view. */
type PlacePath = `${"fasteners" | "tang.holes" | "tang.slots" | "handle.rings"}.${number}`;

/** Where something stands on the side view. */
export const PlaceAt = memo(function PlaceAt({ at }: { at: PlacePath }) {
  return (
    <>
      <LengthAt at={`${at}.xMm`} behind />
      <LengthAt at={`${at}.yMm`} />
    </>
  );
});

export const ShareAt = memo(function ShareAt(
  props: Bound<number> &
    Open & { min?: number; max?: number; unit?: string; factor?: number; whole?: boolean },
) {
  const { at, open, ...rest } = props;
  const limits = useDesign((d) => limitsAt(d, at));
  const [value, put] = useAt<number | null>(at as FixedPath<number | null>);
  const label = useLabel(at, props.label);
  if (typeof value !== "number" && !(open && value === null)) return null;
  const { min, max } = shown(limits, at, 1);
  return (
    <LockAt at={at}>
      <ShareField
        {...rest}
        label={label}
        min={props.min ?? min}
        max={props.max ?? max}
        value={value}
        onChange={put}
        onClear={open ? () => put(null) : undefined}
      />
    </LockAt>
  );
});

/** A weight in the maker's unit. */
export const MassAt = memo(function MassAt(props: Bound<number> & Open & { min?: number; max?: number }) {
  const units = useUnits();
  const metric = units === "metric";
  return <ShareAt {...props} unit={metric ? "g" : "oz"} factor={metric ? 1 : 1 / GRAMS_PER_OUNCE} />;
});

/** A force or a stress in the maker's unit. */
export const MeasureAt = memo(function MeasureAt({
  kind,
  ...props
}: Bound<number> & { kind: MeasureKind; min?: number; max?: number }) {
  const { name, per } = measureOf(kind, useUnits());
  return <ShareAt {...props} unit={name} factor={1 / per} />;
});

export const MaterialAt = memo(function MaterialAt(
  props: Bound<string> & { classes: readonly MaterialClass[] },
) {
  const [value, put] = useAt<string>(props.at);
  const label = useLabel(props.at, props.label);
  return typeof value === "string" ? (
    <LockAt at={props.at}>
      <MaterialField label={label} classes={props.classes} value={value} onChange={put} />
    </LockAt>
  ) : null;
});

/** What fills a hole: a material, or nothing. */
export const FillAt = memo(function FillAt({
  none = "Nothing: left empty",
  ...props
}: Bound<string> & { none?: string }) {
  const [value, put] = useAt<string | null>(props.at);
  const label = useLabel(props.at, props.label);
  return (
    <MaterialField
      label={label}
      classes={FOR_FILLS}
      none={none}
      value={value ?? ""}
      onChange={(id) => put(id || null)}
    />
  );
});

export function ChoiceAt<T extends string>(props: Bound<T> & { names: Readonly<Record<T, string>> }) {
  const [value, put] = useAt<T>(props.at);
  const label = useLabel(props.at, props.label);
  const choices = (Object.keys(props.names) as T[]).map((v) => ({ value: v, name: props.names[v] }));
  return <ChoiceField label={label} help={props.help} value={value} choices={choices} onChange={put} />;
}

/** One of a few whole numbers, each by its name where it has one. */
export function CountAt(
  props: Bound<number> & { of: readonly number[]; names: Readonly<Record<string, string>> },
) {
  const [value, put] = useAt<number>(props.at);
  const label = useLabel(props.at, props.label);
  const choices = props.of.map((n) => ({ value: String(n), name: props.names[n] ?? String(n) }));
  return (
    <ChoiceField
      label={label}
      help={props.help}
      value={String(value)}
      choices={choices}
      onChange={(to) => put(Number(to))}
    />
  );
}

/** A tick that puts something in place, or takes it away. */
export function TickAt<T extends object | number>(props: Bound<T> & { make: () => T }) {
  const { edit } = useBench();
  const path = props.at as FixedPath;
  const there = useDesign((d) => valueAt(d, path) !== null);
  const label = useLabel(path, props.label);
  return (
    <Tick
      label={label}
      checked={there}
      onChange={(on) => void edit(on ? { code: "put", path, item: props.make() } : { code: "clear", path })}
    />
  );
}

/** A tick for a yes or no of the design. */
export const YesAt = memo(function YesAt(props: Bound<boolean>) {
  const [value, put] = useAt<boolean>(props.at);
  const label = useLabel(props.at, props.label);
  return <Tick label={label} checked={value} onChange={put} />;
});
