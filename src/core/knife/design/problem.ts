import type * as z from "zod/mini";

/** What a field of a record is asked to be, where it is not. */
export type Complaint =
  | { readonly code: "at-most" | "at-least"; readonly limit: number; readonly of: "number" | "text" | "list" }
  | { readonly code: "not-a"; readonly wanted: "number" | "text" | "list" | "record" | "choice" }
  | { readonly code: "foreign"; readonly fields: readonly string[] }
  /** In words of the rule's own. */
  | { readonly code: "rule"; readonly says: string };

/** Why a record cannot hold a value: the keys that lead to it, and what it is asked to be. */
export interface FieldProblem {
  readonly keys: readonly (string | number)[];
  readonly complaint: Complaint;
}

const OF: Readonly<Record<string, "number" | "text" | "list">> = {
  number: "number",
  int: "number",
  string: "text",
  array: "list",
};
const WANTED: Readonly<Record<string, "number" | "text" | "list" | "record">> = {
  ...OF,
  object: "record",
  record: "record",
};

/** One issue of the validator as data. */
export function fieldProblem(issue: z.core.$ZodIssue): FieldProblem {
  const keys = issue.path.map((key) => (typeof key === "number" ? key : String(key)));
  return { keys, complaint: complaintOf(issue) };
}

function complaintOf(issue: z.core.$ZodIssue): Complaint {
  switch (issue.code) {
    case "too_big":
      return { code: "at-most", limit: Number(issue.maximum), of: OF[issue.origin] ?? "number" };
    case "too_small":
      return { code: "at-least", limit: Number(issue.minimum), of: OF[issue.origin] ?? "number" };
    case "invalid_type": {
      const wanted = WANTED[issue.expected];
      return wanted ? { code: "not-a", wanted } : { code: "rule", says: issue.message };
    }
    case "invalid_value":
    case "invalid_union":
      return { code: "not-a", wanted: "choice" };
    case "unrecognized_keys":
      return { code: "foreign", fields: issue.keys };
    default:
      return { code: "rule", says: issue.message };
  }
}
