import { mkdtempSync, readFileSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { Worker } from "node:worker_threads";
import { build } from "esbuild";
import { afterAll, describe, expect, it, vi } from "vitest";
import { LARGEST_KNIFE_BYTES } from "@/core/exchange/files/knife/format";
import { writeKnife } from "@/core/exchange/files/knife/write";
import { weigh } from "@/core/figures/weigh/weigh";
import { newDesign } from "@/core/knife/design/create";
import { boxesMesh, endingIn, manyOpenings, rodMesh } from "@/core/knife/design/limits.fixtures";
import { weighingJson } from "@/words/weighingJson";
import { GET, POST } from "./route";

// The thread as it is, bundled as for the application.
const pool = vi.hoisted(() => ({ dispose: () => undefined as undefined }));
vi.mock("@/server/weighPool", async (original) => {
  const { createWeighPool } = await original<typeof import("@/server/weighPool")>();
  const outfile = join(mkdtempSync(join(tmpdir(), "euaxis-")), "weigh.thread.mjs");
  await build({
    entryPoints: ["src/server/weigh.thread.ts"],
    bundle: true,
    platform: "node",
    mainFields: ["module", "main"],
    format: "esm",
    alias: { "@": join(process.cwd(), "src") },
    outfile,
    logLevel: "error",
  });
  const made = createWeighPool(() => new Worker(outfile), 20_000);
  pool.dispose = () => made.dispose() as undefined;
  return { weighPool: () => made };
});
afterAll(() => pool.dispose());

const post = (body: BodyInit | null, headers: Record<string, string> = {}) =>
  POST(
    new Request("http://localhost/api/weigh", {
      method: "POST",
      body,
      headers,
      duplex: "half",
    } as RequestInit),
  );

describe("POST /api/weigh", () => {
  it("answers the public JSON of the weighing", async () => {
    const design = newDesign("Sedge");
    const answer = await post(writeKnife(design));
    expect(answer.status).toBe(200);
    const weighing = weigh(design);
    if (!weighing.ok) throw new Error("not weighed");
    expect(await answer.json()).toEqual(JSON.parse(JSON.stringify(weighingJson(weighing.report))));
  });

  it("opens a file of an earlier version", async () => {
    const answer = await post(
      readFileSync("src/core/exchange/files/knife/fixtures/v1-rook-hunter.json", "utf8"),
    );
    expect(answer.status).toBe(200);
  });

  it.each([
    ["", "not-json"],
    ["{}", "foreign"],
    ['{"format":"euaxis-knife","version":99,"knife":{}}', "newer"],
  ])("answers 400 to %j: %s", async (body, code) => {
    const answer = await post(body);
    expect(answer.status).toBe(400);
    const { reasons } = await answer.json();
    expect(reasons[0].code).toBe(code);
    expect(reasons[0].message).toMatch(/\.$/);
  });

  it("answers 400 without a body at all", async () => {
    expect((await post(null)).status).toBe(400);
  });

  it("names every field that is wrong, by its path", async () => {
    const design = newDesign("Sedge");
    const bent = { ...design, blade: { ...design.blade, spineMm: 0, edgeMm: -1 } };
    const { reasons } = await (await post(writeKnife(bent))).json();
    expect(reasons.map((r: { at: string }) => r.at)).toEqual(["knife.blade.spineMm", "knife.blade.edgeMm"]);
  });

  it("names what cannot be built, its place and its part", async () => {
    const design = newDesign("Sedge");
    const [pin] = design.fasteners;
    const answer = await post(writeKnife({ ...design, fasteners: [{ ...pin, yMm: 60 }] }));
    expect(answer.status).toBe(400);
    expect((await answer.json()).reasons[0]).toMatchObject({
      code: "pin-off-handle",
      subject: pin.id,
      at: { x: pin.xMm, y: 60 },
    });
  });

  it("stops reading past the limit, said beforehand or not", async () => {
    expect((await post("x", { "content-length": String(LARGEST_KNIFE_BYTES + 1) })).status).toBe(413);
    let sent = 0;
    const endless = new ReadableStream({
      pull(controller) {
        sent += 1;
        controller.enqueue(new Uint8Array(LARGEST_KNIFE_BYTES / 10));
        if (sent > 1000) controller.close();
      },
    });
    expect((await post(endless)).status).toBe(413);
    expect(sent, "the rest is never asked for").toBeLessThan(20);
  });

  it("weighs a knife at the limits, and the finest shape that is kept", async () => {
    for (const design of [manyOpenings(), endingIn(rodMesh(3000))]) {
      const answer = await post(writeKnife(design));
      expect(answer.status).toBe(200);
      expect((await answer.json()).massG).toBeGreaterThan(100);
    }
  });

  it("refuses what would take too long before it is begun, and shapes that are none, in the same shape", async () => {
    const box = boxesMesh([
      [0, 0, 0],
      [9, 9, 9],
    ]);
    const open = endingIn({ ...box, triangles: box.triangles.slice(3) });
    for (const [text, code] of [
      [writeKnife(manyOpenings(0.3)), "design-too-detailed"],
      [writeKnife(open), "invalid"],
      ["[".repeat(100_000), "too-complex"],
    ]) {
      const answer = await post(text);
      expect(answer.status).toBe(400);
      const { reasons } = await answer.json();
      expect(reasons.map((r: { code: string }) => r.code)).toContain(code);
      for (const r of reasons) expect(r.message).toMatch(/./);
    }
  });

  it("answers a body that breaks off, and every other method, in the same shape, and says nothing of its disk", async () => {
    const log = vi.spyOn(console, "error").mockImplementation(() => undefined);
    const breaking = new ReadableStream({
      pull: (controller) => controller.error(new Error("/home/somebody/euaxis went away")),
    });
    const answer = await post(breaking);
    expect(answer.status).toBe(500);
    expect(await answer.text()).toBe(
      '{"reasons":[{"code":"failed","message":"The request could not be read."}]}',
    );
    log.mockRestore();
    const other = GET();
    expect(other.status).toBe(405);
    expect(other.headers.get("allow")).toBe("POST");
    expect((await other.json()).reasons[0].code).toBe("method");
  });
});
