import { describe, expect, it } from "vitest";
import { CONSTRUCTIONS } from "../design/constructions.fixtures";
import { fitSheet } from "./sheet";

describe("the whole sheet", () => {
  it.each(Object.keys(CONSTRUCTIONS))("%s: every figure is finite", (name) => {
    const finite = (value: unknown, path: string): void => {
      if (typeof value === "number") expect(Number.isFinite(value), path).toBe(true);
      else if (Array.isArray(value)) for (const [i, v] of value.entries()) finite(v, `${path}.${i}`);
      else if (value && typeof value === "object")
        for (const [k, v] of Object.entries(value)) finite(v, `${path}.${k}`);
    };
    finite(fitSheet(CONSTRUCTIONS[name]), name);
  });
});
