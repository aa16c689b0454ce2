import { readFile } from "node:fs/promises";
import { expect, test } from "@playwright/test";

test("POST /api/weigh answers what the shell answers", async ({ request }) => {
  const answer = await request.post("/api/weigh", {
    data: await readFile("demo/orchard-parer.json", "utf8"),
  });
  expect(answer.status()).toBe(200);
  const body = await answer.json();
  expect(body.massG).toBeGreaterThan(20);
  expect(body.massIntervalG[0]).toBeLessThan(body.massG);
  const sum = body.parts.reduce((s: number, p: { massG: number }) => s + p.massG, 0);
  expect(sum).toBeCloseTo(body.massG, 9);
});

test("a bad design is answered with 400 and its reasons, an oversized one with 413", async ({ request }) => {
  const good = JSON.parse(await readFile("demo/orchard-parer.json", "utf8"));
  const send = (data: string) =>
    request.post("/api/weigh", { data: Buffer.from(data), headers: { "content-type": "application/json" } });

  const noJson = await send("{");
  expect(noJson.status()).toBe(400);
  expect((await noJson.json()).reasons[0]).toMatchObject({ code: "not-json" });

  good.knife.blade.lengthMm = -1;
  const invalid = await send(JSON.stringify(good));
  expect(invalid.status()).toBe(400);
  expect((await invalid.json()).reasons[0]).toMatchObject({ at: "knife.blade.lengthMm" });

  good.knife.blade.lengthMm = 88;
  good.knife.fasteners[0].yMm = 60;
  const impossible = await send(JSON.stringify(good));
  expect(impossible.status()).toBe(400);
  expect((await impossible.json()).reasons[0]).toMatchObject({ code: "pin-off-handle", subject: "pin-1" });

  expect((await send(" ".repeat(4_000_001))).status()).toBe(413);
});
