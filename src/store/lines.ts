"use client";
import { nanoid } from "nanoid";
import type { Line } from "@/core/line/version";
import { sealedTable } from "./sealedTable";
import { LINES, lineRows } from "./tables/lines";

const table = sealedTable(LINES, lineRows);

/** Every line, the oldest first; null before the database has answered. */
export function useLines(): readonly Line[] | null {
  return table.useRecords();
}

export const allLines = table.records;

/** Keeps a new line of no grades, and answers it. */
export async function addLine(name: string): Promise<Line> {
  const line: Line = { id: nanoid(12), name, grades: [], note: "" };
  await table.add(line.id, line);
  return line;
}

/** Changes a line by a function of what it is now. */
export const changeLine = (id: string, by: (line: Line) => Line) => table.change(id, by);

/** Takes a line into the bin; its knives stay. */
export const removeLine = table.remove;
