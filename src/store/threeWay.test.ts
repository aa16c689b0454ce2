import { describe, expect, it } from "vitest";
import { threeWay } from "./threeWay";

const base = {
  id: "a",
  name: "North",
  value: { prices: { g10: { by: "weight", perKg: 3 } }, rate: 1 },
  list: [1],
};

describe("two changes of one row", () => {
  it("of different fields are put together, however deep", () => {
    const mine = { ...base, name: "South" };
    const theirs = { ...base, value: { ...base.value, rate: 2 }, revision: 4 };
    expect(threeWay(base, mine, theirs)).toEqual({
      row: { ...base, name: "South", value: { ...base.value, rate: 2 } },
      clash: false,
    });
  });

  it("of one field clash, and mine stands; alike they do not", () => {
    const [mine, theirs] = [
      { ...base, name: "South" },
      { ...base, name: "West" },
    ];
    expect(threeWay(base, mine, theirs)).toMatchObject({ row: { name: "South" }, clash: true });
    expect(threeWay(base, mine, { ...mine })).toMatchObject({ row: { name: "South" }, clash: false });
  });

  it("that add and take away are changes like others", () => {
    const more = {
      ...base,
      value: { ...base.value, prices: { ...base.value.prices, teak: { by: "piece" } } },
    };
    const less = { ...base, value: { ...base.value, prices: {} } };
    expect(threeWay(base, more, less).row.value).toEqual({ prices: { teak: { by: "piece" } }, rate: 1 });
    expect(
      threeWay(base, less, { ...base, value: { ...base.value, prices: { g10: { by: "piece" } } } }).clash,
    ).toBe(true);
  });

  it("never mix what is one thing: a price by weight and one by the piece", () => {
    const priced = (price: object) => ({ ...base, value: { ...base.value, prices: { g10: price } } });
    const mine = priced({ by: "weight", perKg: 4 });
    const theirs = priced({ by: "piece", perPiece: 2 });
    const merged = threeWay(base, mine, theirs, ["value.prices.*"]);
    expect(merged).toEqual({ row: mine, clash: true });
  });

  it("take the checksum along with what it is of", () => {
    const sealed = { design: { a: 1 }, version: 9, checksum: "1", name: "x" };
    const mine = { ...sealed, design: { a: 2 }, checksum: "2" };
    const theirs = { ...sealed, name: "y", checksum: "1", createdAt: 5 };
    expect(threeWay(sealed, mine, theirs, ["design"])).toEqual({
      row: { ...mine, name: "y", createdAt: 5 },
      clash: false,
    });
  });
});
