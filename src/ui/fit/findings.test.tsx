// @vitest-environment happy-dom

import { act, fireEvent, screen, waitFor, within } from "@testing-library/react";
import { userEvent } from "@testing-library/user-event";
import { describe, expect, it } from "vitest";
import { applyFix } from "@/core/figures/review/fixes";
import { reviewDesign } from "@/core/figures/review/reviewDesign";
import { drawn, TRIPS } from "@/core/figures/review/trips.fixtures";
import type { Finding, TradeRule } from "@/core/figures/review/types";
import { materialsIn } from "@/core/knife/design/materials";
import type { Design } from "@/core/knife/design/schema";
import { findingWords } from "@/words/findings";
import { effectWords, offerWords } from "@/words/offers";
import { RULE_WORDS } from "@/words/rules";
import { ReadoutBar } from "../bench/ReadoutBar";
import { onBench } from "../onBench.fixtures";
import { FindingsSection } from "./FindingsSection";

/** The card that says a finding; the fix of one that costs many weighings is on it a moment later. */
async function cardOf({ rule, subject, ...finding }: Finding, of: Design): Promise<HTMLElement> {
  const says = findingWords({ rule, subject, ...finding }, "metric", materialsIn(of));
  return waitFor(() => {
    const cards = [...document.querySelectorAll<HTMLElement>(`[data-finding="${rule}"]`)];
    const mine = cards.find((c) => c.textContent?.includes(says));
    if (!mine) throw new Error(`nothing says "${says}"`);
    const fixes = within(mine).queryAllByRole("button", { name: /^Fix: / });
    if (fixes.length !== (finding.fixes?.length ?? 0)) throw new Error("its fixes are not there");
    return mine;
  });
}

describe("every fix that is worked out is offered, and done by its button", () => {
  it.each(Object.entries(TRIPS) as [TradeRule, (typeof TRIPS)[TradeRule]][])("%s", async (rule, design) => {
    const finding = reviewDesign(design).findings.find((f) => f.rule === rule);
    if (!finding) throw new Error("not found");
    const { design: now, session } = await onBench(design, <FindingsSection />);
    const card = await cardOf(finding, design);
    for (const offer of finding.fixes ?? []) {
      const name = `Fix: ${offerWords(offer, design, "metric")}`;
      expect(card.textContent).toContain(effectWords(offer, "metric"));
      // While the review of the state before is still shown, its fixes are refused: it is pressed again then.
      await waitFor(async () => {
        await userEvent.click(within(await cardOf(finding, design)).getByRole("button", { name }));
        expect(now()).toEqual(applyFix(design, offer.fix));
      });
      session.undo();
      expect(now()).toEqual(design);
    }
  });
});

describe("a fix of a state that the knife has left", () => {
  it("still says what it meant, and is not done to what is there now", async () => {
    const design = TRIPS["bolt-engagement"];
    const finding = reviewDesign(design).findings.find((f) => f.rule === "bolt-engagement");
    if (!finding?.fixes?.[0]) throw new Error("nothing is offered");
    const { design: now, session } = await onBench(
      design,
      <>
        <FindingsSection />
        <ReadoutBar listed={false} />
      </>,
    );
    const name = `Fix: ${offerWords(finding.fixes[0], design, "metric")}`;
    const fix = within(await cardOf(finding, design)).getByRole("button", { name });
    act(() => {
      session.getState().edit({ code: "set", path: "fasteners", to: [] });
    });
    const left = now();
    // The new review has not come yet, as nothing was awaited: the offers of the old one are still in both places.
    expect(screen.getAllByRole("button", { name })).toContain(fix);
    fireEvent.click(fix);
    expect(now()).toBe(left);
    await screen.findByText("Not fixed");
  });
});

describe("a finding that is accepted", () => {
  const design = TRIPS["shoulder-sharp"];
  const finding = reviewDesign(design).findings.find((f) => f.rule === "shoulder-sharp");

  it("wants a reason, is out of the way with it, and comes back when that is taken back", async () => {
    if (!finding) throw new Error("not found");
    const { design: now } = await onBench(design, <FindingsSection />);
    await userEvent.click(within(await cardOf(finding, design)).getByRole("button", { name: /^Accept …/ }));
    const reason = screen.getByRole("textbox", { name: "Why it is accepted" });
    expect(screen.getByRole<HTMLButtonElement>("button", { name: "Accept" }).disabled).toBe(true);
    await userEvent.type(reason, "Filed round by hand{Enter}");
    expect(now().fitUp.accepted).toEqual([
      { rule: "shoulder-sharp", subject: finding.subject, reason: "Filed round by hand" },
    ]);
    await screen.findByText(/“Filed round by hand”/, {});
    await waitFor(() => expect(document.querySelector('[data-finding="shoulder-sharp"]')).toBeNull());
    await userEvent.click(screen.getByRole("button", { name: /^Take back/ }));
    expect(now().fitUp.accepted).toEqual([]);
    await cardOf(finding, design);
  });

  it("is left as it is by Escape", async () => {
    if (!finding) throw new Error("not found");
    const { design: now } = await onBench(design, <FindingsSection />);
    await userEvent.click(within(await cardOf(finding, design)).getByRole("button", { name: /^Accept …/ }));
    await userEvent.type(screen.getByRole("textbox", { name: "Why it is accepted" }), "No{Escape}");
    expect(screen.queryByRole("textbox", { name: "Why it is accepted" })).toBeNull();
    expect(now()).toEqual(design);
  });
});

describe("the limits of the rules", () => {
  it("are changed by the maker, and say what is usual", async () => {
    const { design: now } = await onBench(drawn, <FindingsSection />);
    await userEvent.click(screen.getByRole("button", { name: "Limits of the rules" }));
    // The rules themselves come from the worker.
    const name = RULE_WORDS["shoulder-sharp"].name;
    const field = await screen.findByRole("textbox", { name }, { timeout: 5000 });
    await userEvent.clear(field);
    await userEvent.type(field, "1.5{Enter}");
    expect(now().fitUp.limits["shoulder-sharp"]).toBe(1.5);
    await screen.findByText("Usually 1.");
    await userEvent.clear(field);
    await userEvent.type(field, "-2{Enter}");
    // What cannot be is said, and changes nothing.
    expect(now().fitUp.limits["shoulder-sharp"]).toBe(1.5);
    expect(field.getAttribute("aria-invalid")).toBe("true");
  });
});
