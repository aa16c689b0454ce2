import type { FixedReading } from "@/core/exchange/files/knife/readFixed";
import { problemWords } from "./problems";

/** Why a knife file was refused, in words that say what to do. */
export function fileFailureWords(failure: Extract<FixedReading, { ok: false }>): string {
  switch (failure.code) {
    case "too-large":
      return `The file is ${kilobytes(failure.bytes)}; a knife file may be ${kilobytes(failure.limit)} at most.`;
    case "not-utf8":
      return "The file is not text (UTF-8). It may be damaged, or of another kind.";
    case "too-complex":
      return "The file nests deeper, or has more fields, than any knife does.";
    case "not-json":
      return `The file is damaged: it stops being JSON at line ${failure.line}, column ${failure.column}.`;
    case "key-twice":
      return `"${failure.key}" stands twice in one place, the second time at line ${failure.line}, column ${failure.column}: it is not clear which of the two holds.`;
    case "foreign":
      return 'This is not a Euaxis knife: the file does not begin with "format": "euaxis-knife".';
    case "no-version":
      return 'The file does not say its version: "version" must be a whole number from 1.';
    case "newer":
      return `The file is of version ${failure.version}, and this Euaxis knows versions up to ${failure.known}. Update Euaxis to open it.`;
    case "other-product":
      return `It is a design of another kind ("${failure.kind}"), which this Euaxis does not know. Update Euaxis to open it.`;
    case "not-fixed":
      return `It is a design of another kind ("${failure.kind}"): this is for knives with a fixed blade.`;
    case "invalid": {
      const first = failure.problems
        .slice(0, 4)
        .map((p) => (p.field ? problemWords(p.field) : `${p.path}: ${p.message}`));
      const more = failure.problems.length - first.length;
      return `The design is incomplete or damaged. ${first.join("; ")}${more > 0 ? `; and ${more} more` : ""}.`;
    }
  }
}

function kilobytes(bytes: number): string {
  return `${Math.ceil(bytes / 1000).toLocaleString("en")} kB`;
}
