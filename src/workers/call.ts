/** A question to a service as data: which of its methods, and with what. */
export interface Call {
  readonly method: string;
  readonly args: readonly unknown[];
}

/**
 * What a question asks of a service, without asking it: the question calls one method, and answers what that answers. Throws
 * for one that does anything else.
 */
export function callOf<S>(question: (service: S) => unknown): Call {
  let call: Call | null = null;
  const token = {};
  const service = new Proxy(
    {},
    {
      get:
        (_, method) =>
        (...args: readonly unknown[]) => {
          if (call || typeof method !== "string") throw new Error("a question calls one method of a service");
          call = { method, args };
          return token;
        },
    },
  );
  if (question(service as S) !== token || !call) throw new Error("a question answers what its service does");
  return call;
}

const texts = new WeakMap<object, string>();

/**
 * Designs and the like never change: each is written out once, and of one that was changed only the fields that are other
 * than before.
 */
function textOf(value: unknown, inner: (field: unknown) => string): string {
  if (typeof value !== "object" || value === null) return JSON.stringify(value) ?? "undefined";
  let text = texts.get(value);
  if (text === undefined) {
    text = Array.isArray(value)
      ? JSON.stringify(value)
      : `{${Object.entries(value)
          .map(([key, field]) => `${JSON.stringify(key)}:${inner(field)}`)
          .join()}}`;
    texts.set(value, text);
  }
  return text;
}

const fieldText = (field: unknown): string => textOf(field, (value) => JSON.stringify(value) ?? "undefined");

/** What is longer is not remembered by: an imported shape is some hundred thousand letters. */
const LONGEST_KEY = 60_000;

const isData = (value: unknown): boolean => {
  if (typeof value === "function" || ArrayBuffer.isView(value)) return false;
  return !Array.isArray(value) || value.every(isData);
};

/** What tells a call from every other, by all that goes into its answer; null of one that is not remembered. */
export function keyOf(service: string, { method, args }: Call): string | null {
  if (!args.every(isData)) return null;
  const key = `${service}.${method} ${args.map((arg) => textOf(arg, fieldText)).join(" ")}`;
  return key.length > LONGEST_KEY ? null : key;
}
