import { expect, it } from "vitest";
import { misfitOf } from "./fits";

it("what goes into something larger fits, to the rounding of what was worked out", () => {
  expect(misfitOf([])).toBeNull();
  expect(
    misfitOf([
      [1, 2],
      [2.9, 3],
    ]),
  ).toBeNull();
  expect(misfitOf([[3, 3]])).toEqual({ small: 3, large: 3, isOver: false });
  expect(misfitOf([[0.1 + 0.2, 0.3]])).toMatchObject({ isOver: false });
});

it("what is larger comes before what is just as large, and what is no number never fits", () => {
  const pairs = [
    [3, 3],
    [5, 4],
  ] as const;
  expect(misfitOf(pairs)).toEqual({ small: 5, large: 4, isOver: true });
  expect(misfitOf([[Number.NaN, 4]])).toMatchObject({ isOver: true });
});
