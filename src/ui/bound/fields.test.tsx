// @vitest-environment happy-dom
import { act, screen } from "@testing-library/react";
import { userEvent } from "@testing-library/user-event";
import { useState } from "react";
import { afterEach, describe, expect, it } from "vitest";
import type { KeptEdit } from "@/core/edit/kept";
import { newFastener } from "@/core/kinds/fasteners/registry";
import { newDesign } from "@/core/knife/design/create";
import { limitsAt } from "@/core/knife/design/limits";
import { changeSettings } from "@/store/settings";
import { editWords } from "@/words/edits";
import { PinsStep } from "../board/steps/PinsStep";
import { LengthField } from "../fields/LengthField";
import { ShareField } from "../fields/ShareField";
import { onBench } from "../onBench.fixtures";
import { useBench, useDesign } from "../session/BenchContext";
import { ChoiceAt, FillAt, LengthAt, MassAt, MaterialAt, PlaceAt, ShareAt, TickAt, YesAt } from "./bound";
import { LengthList } from "./LengthList";

const base = newDesign("Sedge");
const field = (name: string) => screen.getByRole<HTMLInputElement>("textbox", { name });

async function type(name: string, text: string) {
  await userEvent.clear(field(name));
  await userEvent.type(field(name), text);
}

afterEach(() => act(() => changeSettings({ units: "metric" })));

/** Shows a part of the design, and counts how often it is drawn. */
function Counted({ of, counts }: { of: "pin" | "spine" | "all"; counts: Record<string, number> }) {
  const shown = useDesign((d) => (of === "pin" ? d.fasteners[0] : of === "spine" ? d.blade.spineMm : d));
  useBench();
  counts[of] = (counts[of] ?? 0) + 1;
  return <output>{JSON.stringify(shown).length}</output>;
}

describe("a figure whose keeper answers late", () => {
  it("is handed over again when the old one is typed before the new one has come back", async () => {
    const handed: number[] = [];
    await onBench(
      base,
      <>
        <ShareField label="Strength" value={0.3} min={0} max={1} onChange={(v) => handed.push(v)} />
        <LengthField label="Reach" mm={5} min={0} max={20} onChange={(v) => handed.push(v)} />
      </>,
    );
    await type("Strength", "41{Enter}");
    await type("Strength", "30{Enter}");
    await type("Reach", "7{Enter}");
    await type("Reach", "5{Enter}");
    expect(handed).toEqual([0.41, 0.3, 7, 5]);
    // Nothing is handed over twice, and keys step on from what was handed over.
    await type("Reach", "5{Enter}");
    await userEvent.type(field("Reach"), "{ArrowUp}{ArrowUp}");
    expect(handed.slice(4)).toEqual([5.5, 6]);
  });
});

/** A length that is kept in whole millimetres. */
function WholeLength({ handed }: { handed: number[] }) {
  const [mm, setMm] = useState(5);
  const keep = (to: number) => {
    handed.push(to);
    setMm(Math.round(to));
  };
  return <LengthField label="Reach" mm={mm} min={0} max={20} onChange={keep} />;
}

describe("a figure that is answered by another one", () => {
  it("is stepped on from that, not from what was handed over", async () => {
    const handed: number[] = [];
    await onBench(base, <WholeLength handed={handed} />);
    await type("Reach", "7.3{Enter}");
    await userEvent.type(field("Reach"), "{ArrowUp}");
    expect(handed).toEqual([7.3, 7.5]);
  });
});

/** A length and a weight that may have no figure yet, with what was handed over or taken away. */
function Open({ handed }: { handed: (number | null)[] }) {
  const [mm, setMm] = useState<number | null>(null);
  const [share, setShare] = useState<number | null>(null);
  const take = (put: (to: number | null) => void) => (to: number | null) => {
    handed.push(to);
    put(to);
  };
  return (
    <>
      <LengthField
        label="Reach"
        mm={mm}
        min={0}
        max={20}
        onChange={take(setMm)}
        onClear={() => take(setMm)(null)}
      />
      <ShareField
        label="Weight"
        unit="g"
        value={share}
        min={0.5}
        max={900}
        onChange={take(setShare)}
        onClear={() => take(setShare)(null)}
      />
    </>
  );
}

describe("a field without a figure", () => {
  it.each([
    ["Reach", "7", 7],
    ["Weight", "41.5", 41.5],
  ])("is empty, takes one, and gives it up again when it is emptied: %s", async (name, text, figure) => {
    const handed: (number | null)[] = [];
    await onBench(base, <Open handed={handed} />);
    expect(field(name).value).toBe("");
    // Left as it was, and emptied where nothing stands: nothing is handed over, and nothing is wrong.
    await userEvent.click(field(name));
    await userEvent.tab();
    await userEvent.type(field(name), "  {Enter}");
    expect(handed).toEqual([]);
    expect(field(name).getAttribute("aria-invalid")).not.toBe("true");
    await type(name, `${text}{Enter}`);
    expect(handed).toEqual([figure]);
    await userEvent.clear(field(name));
    await userEvent.keyboard("{Enter}");
    expect(handed).toEqual([figure, null]);
    expect(field(name).value).toBe("");
  });

  it("refuses what cannot be read as any other, and stays without", async () => {
    const handed: (number | null)[] = [];
    await onBench(base, <Open handed={handed} />);
    for (const [name, wrong] of [
      ["Reach", "99"],
      ["Reach", "soon"],
      ["Weight", "0.1"],
      ["Weight", "heavy"],
    ]) {
      await type(name, `${wrong}{Enter}`);
      expect(field(name).getAttribute("aria-invalid"), wrong).toBe("true");
      await userEvent.keyboard("{Escape}");
      expect(field(name).value, wrong).toBe("");
    }
    expect(handed).toEqual([]);
  });

  it("is stepped from the least that it may be", async () => {
    const handed: (number | null)[] = [];
    await onBench(base, <Open handed={handed} />);
    await userEvent.type(field("Reach"), "{ArrowUp}");
    await userEvent.type(field("Weight"), "{ArrowDown}");
    expect(handed).toEqual([0.5, 0.5]);
  });

  it("with a figure that every such field has, is not given up: it is refused, and the old one stands", async () => {
    const { design } = await onBench(base, <LengthAt at="blade.spineMm" label="Spine" />);
    await userEvent.clear(field("Spine"));
    await userEvent.keyboard("{Enter}");
    expect(field("Spine").getAttribute("aria-invalid")).toBe("true");
    expect(design().blade.spineMm).toBe(base.blade.spineMm);
  });
});

describe("a length", () => {
  it("is taken as makers write it, on Enter or on leaving, and named in undo", async () => {
    const { design, session } = await onBench(base, <LengthAt at="blade.spineMm" label="Spine" />);
    await type("Spine", '3/16"{Enter}');
    expect(design().blade.spineMm).toBeCloseTo(4.7625, 9);
    expect(editWords(session.getState().last as KeptEdit, design(), "metric")).toBe("Change spine");
    await type("Spine", "5");
    expect(design().blade.spineMm).toBeCloseTo(4.7625, 9);
    await userEvent.tab();
    expect(design().blade.spineMm).toBe(5);
    session.undo();
    expect(design().blade.spineMm).toBeCloseTo(4.7625, 9);
  });

  it("that cannot be read, or is out of bounds, stays in the field with the reason, and changes nothing", async () => {
    const { design } = await onBench(base, <LengthAt at="blade.spineMm" label="Spine" />);
    for (const wrong of ["four", "4 mmm", "-3", "5000"]) {
      await type("Spine", `${wrong}{Enter}`);
      expect(field("Spine").value).toBe(wrong);
      expect(field("Spine").getAttribute("aria-invalid")).toBe("true");
      expect(design().blade.spineMm).toBe(base.blade.spineMm);
    }
    await userEvent.keyboard("{Escape}");
    expect(field("Spine").getAttribute("aria-invalid")).toBe("false");
    expect(field("Spine").value).toBe("4");
  });

  it("is stepped by the arrow keys, and held to its limits", async () => {
    const { design } = await onBench(base, <LengthAt at="blade.edgeMm" label="Edge" />);
    field("Edge").focus();
    const before = design().blade.edgeMm;
    await userEvent.keyboard("{ArrowUp}");
    expect(design().blade.edgeMm).toBeGreaterThan(before);
    await userEvent.keyboard("{ArrowDown}".repeat(60));
    expect(design().blade.edgeMm).toBe(limitsAt(base, "blade.edgeMm")?.low);
  });

  it("is shown in the maker's unit, and a station as its distance behind the front", async () => {
    const pinned = { ...base, fasteners: [newFastener("pin", "p", { xMm: -25.4, yMm: 3 }, 4)] };
    const { design } = await onBench(pinned, <PlaceAt at="fasteners.0" />);
    expect(field("Behind the front").value).toBe("25.4");
    await act(() => changeSettings({ units: "inch" }));
    expect(field("Behind the front").value).toBe("1");
    await type("Behind the front", "2{Enter}");
    expect(design().fasteners[0].xMm).toBeCloseTo(-50.8, 9);
    await type("Above the axis", "-1/8{Enter}");
    expect(design().fasteners[0].yMm).toBeCloseTo(-3.175, 9);
  });
});

describe("other fields", () => {
  it("a share is typed in per cent, and refused beyond its limits", async () => {
    const { design } = await onBench(base, <ShareAt at="handle.plan.0.roundness" label="Roundness" />);
    await type("Roundness", "35{Enter}");
    expect(design().handle.plan[0].roundness).toBeCloseTo(0.35, 12);
    await type("Roundness", "140{Enter}");
    expect(design().handle.plan[0].roundness).toBeCloseTo(0.35, 12);
    expect(field("Roundness").getAttribute("aria-invalid")).toBe("true");
  });

  it("a weight is in ounces where lengths are in inches", async () => {
    const { design } = await onBench(base, <MassAt at="use.massG.high" label="Weight to" />);
    await act(() => changeSettings({ units: "inch" }));
    await type("Weight to", "10{Enter}");
    expect(design().use.massG.high).toBeCloseTo(283.495, 2);
  });

  it("a material is chosen from its classes, with its cautions beneath", async () => {
    const { design } = await onBench(
      base,
      <MaterialAt at="handle.right.material" label="Right" classes={["wood", "laminate"]} />,
    );
    const list = screen.getByRole<HTMLSelectElement>("combobox", { name: "Right" });
    await userEvent.selectOptions(list, "g10");
    expect(design().handle.kind === "scales" && design().handle).toMatchObject({
      right: { material: "g10" },
    });
    screen.getByText(/dust/i);
    expect([...list.options].some((o) => o.value === "brass-360")).toBe(false);
  });

  it("what fills a hole may be nothing; a tick puts something in place and takes it away", async () => {
    const holed = {
      ...base,
      tang: {
        ...base.tang,
        holes: [{ id: "h", xMm: -60, yMm: 0, diameterMm: 8, fill: null, purpose: "lighten" as const }],
      },
    } as typeof base;
    const { design } = await onBench(
      holed,
      <>
        <FillAt at="tang.holes.0.fill" />
        <TickAt at="tang.taper" label="Tapered" make={() => ({ frontMm: 4, buttMm: 2.4 })} />
        <ChoiceAt
          at="tang.holes.0.purpose"
          label="What it is"
          names={{ lighten: "To lighten", key: "To key", "old-pin": "Old pin" }}
        />
        <YesAt at="handle.outline.1.corner" label="Corner" />
        <LengthList at="workshop.cuttersMm" label="End mills" />
      </>,
    );
    const full = () => {
      const { tang } = design();
      if (tang.kind !== "full") throw new Error("no full tang");
      return tang;
    };
    await userEvent.selectOptions(screen.getByRole("combobox", { name: "Filled with" }), "epoxy");
    expect(full().holes[0].fill).toBe("epoxy");
    await userEvent.selectOptions(screen.getByRole("combobox", { name: "Filled with" }), "");
    expect(full().holes[0].fill).toBeNull();
    await userEvent.selectOptions(screen.getByRole("combobox", { name: "What it is" }), "Old pin");
    expect(full().holes[0].purpose).toBe("old-pin");
    await userEvent.click(screen.getByRole("checkbox", { name: "Tapered" }));
    expect(full().taper).toEqual({ frontMm: 4, buttMm: 2.4 });
    await userEvent.click(screen.getByRole("checkbox", { name: "Tapered" }));
    expect(full().taper).toBeNull();
    await type("End mills", "3; 1/4 in; 2{Enter}");
    expect(design().workshop.cuttersMm).toEqual([2, 3, 6.35]);
    await type("End mills", "3; none{Enter}");
    expect(design().workshop.cuttersMm).toEqual([2, 3, 6.35]);
    expect(field("End mills").value).toBe("3; none");
  });
});

describe("what is drawn again", () => {
  it("is only what shows something that an edit changed", async () => {
    const counts: Record<string, number> = {};
    const pinned = { ...base, fasteners: [newFastener("pin", "p", { xMm: -25, yMm: 3 }, 4)] };
    const { session } = await onBench(
      pinned,
      <>
        <Counted of="pin" counts={counts} />
        <Counted of="spine" counts={counts} />
        <Counted of="all" counts={counts} />
      </>,
    );
    const before = { ...counts };
    act(() => {
      session.getState().edit({ code: "set", path: "fasteners.0.xMm", to: -30 });
    });
    expect(counts.pin).toBe(before.pin + 1);
    expect(counts.spine).toBe(before.spine);
    expect(counts.all).toBe(before.all + 1);
  });

  it("of a panel of pins while one is dragged is its own place alone", async () => {
    const fasteners = ["p", "q", "r"].map((id, i) =>
      newFastener("pin", id, { xMm: -25 * (i + 1), yMm: 0 }, 4),
    );
    const { session } = await onBench({ ...base, fasteners }, <PinsStep />);
    const changed = new Set<string>();
    const watch = new MutationObserver((all) => {
      for (const { target } of all) {
        const card = (target instanceof Element ? target : target.parentElement)?.closest("[data-item]");
        changed.add(card?.getAttribute("data-item") ?? "elsewhere");
      }
    });
    watch.observe(document.body, { subtree: true, childList: true, attributes: true, characterData: true });
    act(() => {
      session.getState().edit({ code: "set", path: "fasteners.1.xMm", to: -52 });
    });
    await act(() => new Promise((r) => setTimeout(r, 20)));
    watch.disconnect();
    expect([...changed].filter((id) => id !== "q")).toEqual([]);
    const shown = document.querySelector('[data-item="q"]')?.querySelectorAll("input") ?? [];
    expect([...shown].map((i) => (i as HTMLInputElement).value)).toContain("52");
  });
});
