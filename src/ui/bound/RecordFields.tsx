"use client";
import { own } from "@/core/base/own";
import type { Field, Fields } from "@/core/base/record/fields";
import type { MaterialClass } from "@/core/materials/types";
import { ChoiceAt, CountAt, FillAt, LengthAt, MaterialAt, ShareAt } from "./bound";
import { FOR_FILLS, FOR_PINS } from "./MaterialField";

/** What the fields of a record are called, and from what their materials are chosen. */
export interface FieldWords {
  of(path: string): { readonly label: string; readonly help?: string };
  readonly choices?: Readonly<Record<string, Readonly<Record<string, string>>>>;
  readonly classes?: readonly MaterialClass[];
}

const SIZES = ["length", "share", "angle", "choice", "count"];

/** The fields of a record, each held to its limits: all, its numbers and choices, or its materials with what belongs to them. */
export function RecordFields(props: {
  at: string;
  fields: Fields;
  which: "all" | "sizes" | "materials";
  words: FieldWords;
}) {
  const { at, fields, which, words } = props;
  return Object.entries(fields)
    .filter(([, field]) => which === "all" || SIZES.includes(field.type) === (which === "sizes"))
    .map(([key, field]) => <OneField key={key} at={at} path={key} field={field} words={words} />);
}

function OneField({ at, path, field, words }: { at: string; path: string; field: Field; words: FieldWords }) {
  const { label, help } = words.of(path);
  // Which fields there are the record's own list says, and not the type of the whole design.
  const bound = { at: `${at}.${path}` as never, label, help };
  switch (field.type) {
    case "length":
    case "angle":
      // Diameters may be a drill's, in thousandths.
      return <LengthAt {...bound} digits={/diameter|bore/i.test(path) ? 3 : undefined} />;
    case "share":
      return <ShareAt {...bound} />;
    case "choice":
      return <ChoiceAt {...bound} names={own(words.choices, path) ?? {}} />;
    case "count":
      return <CountAt {...bound} of={field.of} names={own(words.choices, path) ?? {}} />;
    case "material":
      return <MaterialAt {...bound} classes={path === "fill" ? FOR_FILLS : (words.classes ?? FOR_PINS)} />;
    case "fill":
      return <FillAt {...bound} none="Left open" />;
    case "group":
      return Object.entries(field.fields).map(([key, inner]) => (
        <OneField key={key} at={at} path={`${path}.${key}`} field={inner} words={words} />
      ));
  }
}
