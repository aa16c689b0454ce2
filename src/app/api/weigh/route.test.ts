import { readFileSync } from "node:fs";
import { describe, expect, it } from "vitest";
import { newDesign } from "@/core/design/create";
import { LARGEST_KNIFE_BYTES } from "@/core/files/knife/format";
import { writeKnife } from "@/core/files/knife/write";
import { weigh } from "@/core/weigh/weigh";
import { weighingJson } from "@/words/weighingJson";
import { POST } from "./route";

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
    const answer = await post(readFileSync("src/core/files/knife/fixtures/v1-rook-hunter.json", "utf8"));
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
});
