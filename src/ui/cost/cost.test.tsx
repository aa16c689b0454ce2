// @vitest-environment happy-dom
import { screen, within } from "@testing-library/react";
import { userEvent } from "@testing-library/user-event";
import { describe, expect, it } from "vitest";
import { billOf } from "@/core/figures/cost/bill";
import { plainShop } from "@/core/figures/cost/shop";
import { newDesign } from "@/core/knife/design/create";
import { TASK_WORDS } from "@/words/cost";
import { onBench } from "../onBench.fixtures";
import { WorkTable } from "./WorkTable";

const sedge = newDesign("Sedge");
const bill = billOf(sedge, plainShop());
if (!bill) throw new Error("Sedge has no bill");

describe("the minutes of a knife", () => {
  const [first] = bill.work;
  const name = `Minutes: ${TASK_WORDS[first.task]}`;

  it("are proposed, are the maker's once typed, and can go back", async () => {
    const { design } = await onBench(sedge, <WorkTable bill={bill} own />);
    const field = screen.getByRole<HTMLInputElement>("textbox", { name });
    expect(field.value).toBe(String(first.proposedMin));
    await userEvent.clear(field);
    await userEvent.type(field, "33{Enter}");
    expect(design().work.minutes[first.task]).toBe(33);
    await userEvent.clear(field);
    await userEvent.type(field, "-1{Enter}");
    expect(design().work.minutes[first.task]).toBe(33);
  });

  it("offer the proposal only where the maker's are others", async () => {
    const mine = { ...bill, work: bill.work.map((w) => (w === first ? { ...w, minutes: 33 } : w)) };
    const typed = { ...sedge, work: { ...sedge.work, minutes: { [first.task]: 33 } } };
    const { design } = await onBench(typed, <WorkTable bill={mine} own />);
    await userEvent.click(
      screen.getByRole("button", { name: `Back to ${first.proposedMin} min: ${TASK_WORDS[first.task]}` }),
    );
    expect(design().work.minutes).toEqual({});
  });

  it("of another knife can only be read", async () => {
    await onBench(sedge, <WorkTable bill={bill} own={false} />);
    expect(screen.queryAllByRole("textbox")).toEqual([]);
    expect(screen.queryByRole("button", { name: "Other work" })).toBeNull();
  });
});

describe("what it takes besides", () => {
  it("is named, timed and priced, and can be left out; a name of nothing is not taken", async () => {
    const { design } = await onBench(sedge, <WorkTable bill={bill} own />);
    await userEvent.click(screen.getByRole("button", { name: "Other work" }));
    const row = within(screen.getByTestId("other-cost"));
    const name = row.getByRole("textbox", { name: "Other work, name" });
    await userEvent.clear(name);
    await userEvent.type(name, "  {Enter}");
    expect(design().work.others[0].name).toBe("Other work");
    await userEvent.clear(name);
    await userEvent.type(name, "Post{Enter}");
    expect(design().work.others[0].name).toBe("Post");
    const again = within(screen.getByTestId("other-cost"));
    await userEvent.clear(again.getByRole("textbox", { name: "Money: Post" }));
    await userEvent.type(again.getByRole("textbox", { name: "Money: Post" }), "7.5{Enter}");
    await userEvent.clear(again.getByRole("textbox", { name: "Minutes: Post" }));
    await userEvent.type(again.getByRole("textbox", { name: "Minutes: Post" }), "12{Enter}");
    expect(design().work.others[0]).toMatchObject({ name: "Post", minutes: 12, money: 7.5 });
    await userEvent.click(again.getByRole("button", { name: "Leave out Post" }));
    expect(design().work.others).toEqual([]);
  });
});
