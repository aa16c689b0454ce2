import { describe, expect, it } from "vitest";
import { endingIn, rodMesh } from "@/core/design/limits.fixtures";
import { readKnife } from "@/core/files/knife/read";
import { writeKnife } from "@/core/files/knife/write";
import { createAsker } from "./bench.client";
import { startOver } from "./port.fixtures";

describe("a knife file with a shape in it", () => {
  it("comes back from the worker as it is read beside it", async () => {
    const bytes = new TextEncoder().encode(writeKnife(endingIn(rodMesh(1000))));
    const asker = createAsker(startOver({ open: (b: Uint8Array) => readKnife(new Uint8Array(b)) }).start);
    const reading = await asker.ask((s) => s.open(bytes));
    expect(reading).toEqual(readKnife(bytes));
    expect(reading?.ok).toBe(true);
    asker.dispose();
  });
});
