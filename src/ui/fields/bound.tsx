"use client";
import { memo } from "react";
import { type Limits, limitsAt } from "@/core/design/limits";
import type { Design } from "@/core/design/schema";
import { putAt, valueAt } from "@/core/edit/path";
import type { MaterialClass } from "@/core/stock/types";
import { GRAMS_PER_OUNCE, type MeasureKind, measureOf } from "@/core/units/print";
import { useUnits } from "@/store/settings";
import { useBench, useDesign } from "../bench/BenchContext";
import { ChoiceField } from "./ChoiceField";
import { LengthField } from "./LengthField";
import { LockAt } from "./LockToggle";
import { FOR_FILLS, MaterialField } from "./MaterialField";
import { ShareField } from "./ShareField";
import { Tick } from "./Tick";

/** Fields bound to a place in the design, by its dotted path. Each edit is one step of undo, named by the label. */
interface Bound {
  readonly at: string;
  readonly label: string;
  readonly help?: string;
}

/** Reads and writes one place of the design. */
export function useAt<T>(path: string, label: string): [T, (value: T) => void] {
  const { edit } = useBench();
  const value = useDesign((d) => valueAt(d, path)) as T;
  const put = (to: T) =>
    edit(`Change ${label.toLowerCase()}`, (d) => {
      putAt(d, path, to);
    });
  return [value, put];
}

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
  props: Bound & { min?: number; max?: number; digits?: number; behind?: boolean },
) {
  const limits = useDesign((d) => limitsAt(d, props.at));
  const [mm, put] = useAt<number>(props.at, props.label);
  if (typeof mm !== "number") return null;
  const sign = props.behind ? -1 : 1;
  const { min, max } = shown(limits, props.at, sign);
  return (
    <LockAt value={props.at}>
      <LengthField
        label={props.label}
        help={props.help}
        min={props.min ?? min}
        max={props.max ?? max}
        digits={props.digits}
        mm={sign * mm + 0}
        onChange={(to) => put(sign * to + 0)}
      />
    </LockAt>
  );
});

/** Where something stands on the side view. */
export const PlaceAt = memo(function PlaceAt({ at }: { at: string }) {
  return (
    <>
      <LengthAt at={`${at}.xMm`} label="Behind the front" behind />
      <LengthAt at={`${at}.yMm`} label="Above the axis" />
    </>
  );
});

export const ShareAt = memo(function ShareAt(
  props: Bound & { min?: number; max?: number; unit?: string; factor?: number; whole?: boolean },
) {
  const { at, ...rest } = props;
  const limits = useDesign((d) => limitsAt(d, at));
  const [value, put] = useAt<number>(at, props.label);
  if (typeof value !== "number") return null;
  const { min, max } = shown(limits, at, 1);
  return (
    <LockAt value={at}>
      <ShareField {...rest} min={props.min ?? min} max={props.max ?? max} value={value} onChange={put} />
    </LockAt>
  );
});

/** A weight in the maker's unit. */
export const MassAt = memo(function MassAt(props: Bound & { min?: number; max?: number }) {
  const units = useUnits();
  const metric = units === "metric";
  return <ShareAt {...props} unit={metric ? "g" : "oz"} factor={metric ? 1 : 1 / GRAMS_PER_OUNCE} />;
});

/** A force or a stress in the maker's unit. */
export const MeasureAt = memo(function MeasureAt({ kind, ...props }: Bound & { kind: MeasureKind }) {
  const { name, per } = measureOf(kind, useUnits());
  return <ShareAt {...props} unit={name} factor={1 / per} />;
});

export const MaterialAt = memo(function MaterialAt(props: Bound & { classes: readonly MaterialClass[] }) {
  const [value, put] = useAt<string>(props.at, props.label);
  return typeof value === "string" ? (
    <LockAt value={props.at}>
      <MaterialField label={props.label} classes={props.classes} value={value} onChange={put} />
    </LockAt>
  ) : null;
});

/** What fills a hole: a material, or nothing. */
export const FillAt = memo(function FillAt({
  at,
  label = "Filled with",
  none = "Nothing: left empty",
}: Partial<Bound> & { at: string; none?: string }) {
  const [value, put] = useAt<string | null>(at, label);
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

export function ChoiceAt<T extends string>(props: Bound & { names: Readonly<Record<T, string>> }) {
  const [value, put] = useAt<T>(props.at, props.label);
  const choices = (Object.keys(props.names) as T[]).map((v) => ({ value: v, name: props.names[v] }));
  return <ChoiceField label={props.label} help={props.help} value={value} choices={choices} onChange={put} />;
}

/** One of a few whole numbers, each by its name where it has one. */
export function CountAt(props: Bound & { of: readonly number[]; names: Readonly<Record<string, string>> }) {
  const [value, put] = useAt<number>(props.at, props.label);
  const choices = props.of.map((n) => ({ value: String(n), name: props.names[n] ?? String(n) }));
  return (
    <ChoiceField
      label={props.label}
      help={props.help}
      value={String(value)}
      choices={choices}
      onChange={(to) => put(Number(to))}
    />
  );
}

/** A tick that puts something in place, or takes it away. */
export function TickAt<T>({ at, label, make }: Bound & { make: () => T }) {
  const [value, put] = useAt<T | null>(at, label);
  return <Tick label={label} checked={value !== null} onChange={(on) => put(on ? make() : null)} />;
}

/** A tick for a yes or no of the design. */
export const YesAt = memo(function YesAt({ at, label }: Bound) {
  const [value, put] = useAt<boolean>(at, label);
  return <Tick label={label} checked={value} onChange={put} />;
});
