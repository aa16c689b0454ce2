"use client";
import { Button, Flex, NativeSelect } from "@chakra-ui/react";
import { Plus } from "lucide-react";
import { useState } from "react";
import { likeAnother } from "@/core/knife/design/product";
import { MOST_GRADES } from "@/core/line/limits";
import type { Line } from "@/core/line/version";
import { addKnife, duplicateKnife, freeName, getKnife, takenNames } from "@/store/knives";
import { changeLine } from "@/store/lines";
import { useKept } from "@/store/useKept";
import { readableVariants } from "@/store/variants";
import { attempt, notices } from "../kit/notice";
import type { LineOnPage } from "./useLineFigures";

/** A grade more: a new knife like one that is in it, a variant that becomes a knife, or a knife of the rack. */
export function AddGrade({ line, on: { knives, grades } }: { line: Line; on: LineOnPage }) {
  const variants = useKept(readableVariants, []);
  const isIn = (id: string) => line.grades.some((g) => g.knife === id);
  const mine = (grades ?? []).flatMap((g) => (g.design ? [{ id: g.grade.knife, name: g.design.name }] : []));
  const others = (knives ?? []).filter((k) => !isIn(k.id) && k.design.job.state !== "gone");
  const own = (variants ?? []).flatMap((v) => {
    const of = mine.find((m) => m.id === v.knifeId);
    return of ? [{ ...v, of: of.name }] : [];
  });
  const put = async (id: string) => {
    await changeLine(line.id, (l) =>
      l.grades.some((g) => g.knife === id) ? l : { ...l, grades: [...l.grades, { knife: id, price: null }] },
    );
  };
  const add = async (choice: string) => {
    const [kind, id] = [choice.slice(0, choice.indexOf(" ")), choice.slice(choice.indexOf(" ") + 1)];
    if (kind === "knife") return put(id);
    if (kind === "copy") {
      const reading = await getKnife(id);
      if (!reading?.ok) throw new Error("the knife cannot be read");
      return put((await duplicateKnife(reading.record)).id);
    }
    const variant = own.find((v) => v.id === id);
    if (!variant) return;
    const name = freeName(`${variant.of}, ${variant.name}`.slice(0, 80), await takenNames());
    return put((await addKnife(likeAnother(variant.design, name))).id);
  };
  const [choice, setChoice] = useState("");
  const addChosen = () => {
    if (line.grades.length >= MOST_GRADES)
      return notices.error({
        title: `A line has up to ${MOST_GRADES} grades`,
        description: "Take one out first.",
      });
    void attempt("No grade was added", () => add(choice));
    setChoice("");
  };
  return (
    <Flex gap="1.5">
      <NativeSelect.Root size="sm" width="220px">
        <NativeSelect.Field
          bg="ground"
          aria-label={`A grade for ${line.name}`}
          value={choice}
          onChange={(e) => setChoice(e.target.value)}
        >
          <option value="">Choose a grade …</option>
          {mine.length > 0 && (
            <optgroup label="A new knife">
              {mine.map((m) => (
                <option key={m.id} value={`copy ${m.id}`}>
                  like {m.name}
                </option>
              ))}
              {own.map((v) => (
                <option key={v.id} value={`variant ${v.id}`}>
                  from the variant {v.name}, {v.of}
                </option>
              ))}
            </optgroup>
          )}
          <optgroup label="From the rack">
            {others.map((k) => (
              <option key={k.id} value={`knife ${k.id}`}>
                {k.design.name}
              </option>
            ))}
          </optgroup>
        </NativeSelect.Field>
        <NativeSelect.Indicator />
      </NativeSelect.Root>
      {/* Chosen first, then put in: arrow keys go through the choices one by one. */}
      <Button size="sm" variant="outline" disabled={choice === ""} onClick={addChosen}>
        <Plus /> Add
      </Button>
    </Flex>
  );
}
