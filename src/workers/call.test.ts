import { describe, expect, it } from "vitest";
import { newDesign } from "@/core/knife/design/create";
import { callOf, keyOf } from "./call";

interface Service {
  weigh(design: unknown, more?: unknown): number;
}
const key = (...args: readonly unknown[]) => keyOf("weigh", { method: "weigh", args });

describe("a question as data", () => {
  it("is the method that it calls, and with what", () => {
    const design = newDesign("Sedge");
    expect(callOf<Service>((s) => s.weigh(design, 2))).toEqual({ method: "weigh", args: [design, 2] });
  });
});

describe("what tells a call from others", () => {
  const design = newDesign("Sedge");

  it("is all that goes into it, whoever made it", () => {
    expect(key(design)).toBe(key(structuredClone(design)));
    expect(key({ ...design, blade: { ...design.blade, spineMm: 5 } })).not.toBe(key(design));
    expect(key({ ...design, notes: "x" })).not.toBe(key(design));
    expect(keyOf("bench", { method: "weigh", args: [design] })).not.toBe(key(design));
    expect(key(design, 1)).not.toBe(key(design, "1"));
    expect(key([1, 2], 3)).not.toBe(key([1], 2, 3));
    expect(key({ a: { b: 1 }, c: 2 })).not.toBe(key({ a: { b: 1, c: 2 } }));
    expect(key(null)).not.toBe(key({}));
    expect(key({ a: { b: 1 } })).not.toBe(key({ "a:b": 1 }));
  });

  it("is none of what cannot be told: functions, bytes, and what is very long", () => {
    expect(key(design, () => 1)).toBeNull();
    expect(key(new Uint8Array([1]))).toBeNull();
    expect(key([new Uint8Array([1])])).toBeNull();
    expect(key({ ...design, notes: "x".repeat(70_000) })).toBeNull();
  });
});
