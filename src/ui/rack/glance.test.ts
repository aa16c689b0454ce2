// @vitest-environment happy-dom

import { afterEach, beforeEach, expect, it } from "vitest";
import { GLANCE_ID, GLANCE_SCRIPT, keepGlance } from "./glance";

/** What the page's own script makes of what is kept. */
function shown(): string[][] {
  document.body.innerHTML = `<div id="${GLANCE_ID}"></div>`;
  new Function(GLANCE_SCRIPT)();
  return [...document.querySelectorAll(`#${GLANCE_ID} p`)].map((p) =>
    [...p.children].map((c) => c.textContent ?? ""),
  );
}

const row = { name: "Rook hunter", mass: "160.9 g", balance: "balances 33.0 mm behind the front" };

beforeEach(() => localStorage.clear());
afterEach(() => localStorage.clear());

it("shows the rack as it last stood, the first knives of it", () => {
  expect(shown()).toEqual([]);
  keepGlance(Array.from({ length: 30 }, (_, i) => ({ ...row, name: `Knife ${i}` })));
  const rows = shown();
  expect(rows).toHaveLength(10);
  expect(rows[9]).toEqual(["Knife 9", row.mass, row.balance]);
});

it("takes what was kept for text, whatever it is, and damaged for nothing", () => {
  keepGlance([{ ...row, name: "<img src=x onerror=alert(1)>" }]);
  expect(shown()[0][0]).toBe("<img src=x onerror=alert(1)>");
  expect(document.querySelector("img")).toBeNull();
  for (const damaged of ["{", "null", "7", '{"length":3}', "[null, 4, [], {}]"]) {
    localStorage.setItem("euaxis-rack", damaged);
    expect(() => shown()).not.toThrow();
    expect(shown().flat().join("")).toBe("");
  }
});
