import { asFixed } from "@/core/knife/design/fixed.fixtures";
import "fake-indexeddb/auto";
import { beforeEach, describe, expect, it, vi } from "vitest";
import { newDesign } from "@/core/knife/design/create";
import { createAutosave } from "./autosave";
import { db } from "./db";
import { addKnife, getKnife, readableKnives, removeKnife, writeDesign } from "./knives";
import { createSession } from "./session";
import { spine } from "./session.fixtures";

beforeEach(async () => {
  await db.knives.clear();
});

/** A knife as it is kept. */
async function knife(id: string) {
  const reading = await getKnife(id);
  return reading?.ok ? reading.record : undefined;
}

/** A knife on the rack, and open. */
async function opened() {
  const record = await addKnife(newDesign("Sedge"));
  const session = createSession(record.design);
  return { record, session, autosave: createAutosave(session, record) };
}

describe("autosave", () => {
  it("keeps every state that the maker leaves, and only the last of a burst", async () => {
    const { record, session, autosave } = await opened();
    for (const mm of [5, 6, 7]) spine(session, mm, "drag");
    expect(autosave.getState().status).toBe("keeping");
    await autosave.flush();
    const kept = await knife(record.id);
    expect(asFixed(kept?.design).blade.spineMm).toBe(7);
    expect(kept?.revision).toBe(2);
    expect(autosave.getState().status).toBe("kept");
    autosave.dispose();
  });

  it("stops at a conflict, loses neither side, and goes on after the choice", async () => {
    const { record, session, autosave } = await opened();
    spine(session, 6);
    await writeDesign(record.id, { ...record.design, notes: "theirs" }, record.revision);
    await autosave.flush();
    expect(autosave.getState()).toMatchObject({
      status: "conflict",
      theirs: { design: { notes: "theirs" } },
    });
    expect((await knife(record.id))?.design.notes).toBe("theirs");
    await autosave.keepMine();
    expect(asFixed((await knife(record.id))?.design).blade.spineMm).toBe(6);
    const names = (await readableKnives()).map((k) => k.design.name).sort();
    expect(names).toEqual(["Sedge", "Sedge (other tab)"]);
    autosave.dispose();
  });

  it("takes the other's state when the maker chooses it, as a step that can be undone", async () => {
    const { record, session, autosave } = await opened();
    spine(session, 6);
    await writeDesign(record.id, { ...record.design, notes: "theirs" }, record.revision);
    await autosave.flush();
    spine(session, 7);
    await autosave.flush();
    expect(autosave.getState().status, "nothing is written while the choice is open").toBe("conflict");
    autosave.takeTheirs();
    expect(autosave.getState()).toMatchObject({ status: "kept", theirs: null, adopted: 1 });
    expect(session.getState().design.notes).toBe("theirs");
    session.undo();
    expect(asFixed(session.getState().design).blade.spineMm).toBe(7);
    await autosave.flush();
    expect(asFixed((await knife(record.id))?.design).blade.spineMm).toBe(7);
    autosave.dispose();
  });

  it("takes over what another tab writes while there is nothing unwritten here", async () => {
    const { record, session, autosave } = await opened();
    await writeDesign(record.id, { ...record.design, notes: "theirs" }, record.revision);
    await vi.waitFor(() => expect(session.getState().design.notes).toBe("theirs"));
    expect(autosave.getState()).toMatchObject({ status: "kept", adopted: 1 });
    spine(session, 6);
    await autosave.flush();
    expect(await knife(record.id)).toMatchObject({
      revision: 3,
      design: { notes: "theirs", blade: { spineMm: 6 } },
    });
    autosave.dispose();
  });

  it("says that the knife was deleted elsewhere, and puts it back with what is here", async () => {
    const { record, session, autosave } = await opened();
    spine(session, 6);
    await removeKnife(record.id);
    await autosave.flush();
    expect(autosave.getState().status).toBe("deleted");
    spine(session, 7);
    await autosave.flush();
    expect(await db.knives.count(), "nothing comes back by itself").toBe(0);
    await autosave.putBack();
    expect(asFixed((await knife(record.id))?.design).blade.spineMm).toBe(7);
    spine(session, 8);
    await autosave.flush();
    expect(autosave.getState().status).toBe("kept");
    expect(asFixed((await knife(record.id))?.design).blade.spineMm).toBe(8);
    autosave.dispose();
  });

  it("keeps the state that changes are measured from, and that is there again when the knife is opened", async () => {
    const { record, session, autosave } = await opened();
    spine(session, 6);
    await autosave.setReference(160.2, -23);
    spine(session, 7);
    await autosave.flush();
    autosave.dispose();
    const kept = await knife(record.id);
    expect(kept?.reference).toMatchObject({
      massG: 160.2,
      balanceMm: -23,
      design: { blade: { spineMm: 6 } },
    });
    expect(asFixed(kept?.design).blade.spineMm).toBe(7);
    const again = createAutosave(createSession(kept!.design), kept!);
    expect(again.getState().reference?.massG).toBe(160.2);
    again.dispose();
  });

  it("says so when the database fails, and keeps the work in hand", async () => {
    const { record, session, autosave } = await opened();
    const log = vi.spyOn(console, "error").mockImplementation(() => undefined);
    const broken = vi.spyOn(db, "transaction").mockRejectedValueOnce(new Error("disk full"));
    spine(session, 6);
    await autosave.flush();
    expect(autosave.getState().status).toBe("failed");
    broken.mockRestore();
    log.mockRestore();
    await autosave.flush();
    expect(autosave.getState().status).toBe("kept");
    expect(asFixed((await knife(record.id))?.design).blade.spineMm).toBe(6);
    autosave.dispose();
  });
});
