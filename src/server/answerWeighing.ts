import { readKnife } from "@/core/exchange/files/knife/read";
import { materialsIn } from "@/core/knife/design/materials";
import { modelOf } from "@/core/products/modelOf";
import { fileFailureWords } from "@/words/fileFailures";
import { findingWords } from "@/words/findings";
import { weighingJson } from "@/words/weighingJson";

/** An HTTP status and the text of its JSON body. */
export interface Answer {
  readonly status: number;
  readonly body: string;
}

/** Why a request was not answered with a weighing, in one shape whatever went wrong. */
export interface Reason {
  readonly code: string;
  readonly message: string;
  /** Path of the field, or place on the drawing. */
  readonly at?: string | { readonly x: number; readonly y: number } | null;
  readonly subject?: string | null;
}

export function refusal(status: number, reasons: readonly Reason[]): Answer {
  return { status, body: JSON.stringify({ reasons }) };
}

/** Weighs the knife file in `bytes`: 200 with the public JSON of the weighing, or 400 with reasons. */
export function answerWeighing(bytes: Uint8Array): Answer {
  const reading = readKnife(bytes);
  if (!reading.ok) {
    if (reading.code === "invalid")
      return refusal(
        400,
        reading.problems.map((p) => ({ code: reading.code, at: p.path, message: p.message })),
      );
    return refusal(400, [{ code: reading.code, message: fileFailureWords(reading) }]);
  }
  const weighing = modelOf(reading.design).weigh(reading.design);
  if (weighing.ok) return { status: 200, body: JSON.stringify(weighingJson(weighing.report)) };
  const errors = weighing.findings.filter((f) => f.severity === "error");
  return refusal(
    400,
    errors.map((f) => ({
      code: f.rule,
      at: f.at,
      subject: f.subject,
      message: findingWords(f, "metric", materialsIn(reading.design)),
    })),
  );
}
