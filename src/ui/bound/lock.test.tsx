// @vitest-environment happy-dom
import { screen, waitFor } from "@testing-library/react";
import { userEvent } from "@testing-library/user-event";
import { describe, expect, it } from "vitest";
import { leverEffects } from "@/core/figures/tune/effects";
import { newDesign } from "@/core/knife/design/create";
import { onBench } from "../onBench.fixtures";
import { LengthAt } from "./bound";

describe("a value that is locked", () => {
  it("is left alone by levers, still changed by its maker, and freed again; each is a step of undo", async () => {
    const design = newDesign("Sedge");
    const { design: now, session } = await onBench(design, <LengthAt at="blade.spineMm" label="Spine" />);
    const levers = () => leverEffects(now()).map((l) => l.id);
    expect(levers()).toContain("spine");
    await userEvent.click(screen.getByRole("button", { name: "Lock spine" }));
    expect(now().locked).toEqual(["blade.spineMm"]);
    expect(levers()).not.toContain("spine");
    expect(levers()).toContain("distal-taper");
    const field = screen.getByRole("textbox", { name: "Spine" });
    await userEvent.clear(field);
    await userEvent.type(field, "4.5{Enter}");
    await waitFor(() => expect(now().blade.spineMm).toBe(4.5));
    await userEvent.click(screen.getByRole("button", { name: "Unlock spine" }));
    expect(now().locked).toEqual([]);
    session.undo();
    expect(now().locked).toEqual(["blade.spineMm"]);
  });

  it("has no lock where nothing would change it by itself", async () => {
    await onBench(newDesign("Sedge"), <LengthAt at="workshop.saw.kerfMm" label="Saw kerf" />);
    expect(screen.queryByRole("button", { name: /lock/i })).toBeNull();
  });
});
