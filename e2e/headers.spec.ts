import { expect, test } from "@playwright/test";

const PAGES = ["/", "/stock", "/settings", "/bin", "/knife/nothing-here", "/no/such/page"];

for (const path of PAGES) {
  test(`${path} may load and do only what its policy names`, async ({ page }) => {
    const violations: string[] = [];
    page.on("console", (m) => {
      if (/Content Security Policy/.test(m.text())) violations.push(m.text());
    });
    const answer = await page.goto(path);
    const headers = answer?.headers() ?? {};
    const policy = new Map(
      (headers["content-security-policy"] ?? "").split("; ").map((d) => {
        const [name, ...values] = d.split(" ");
        return [name, values];
      }),
    );
    expect(policy.get("default-src")).toEqual(["'self'"]);
    expect(policy.get("connect-src")).toEqual(["'self'"]);
    expect(policy.get("worker-src")).toEqual(["'self'"]);
    expect(policy.get("frame-ancestors")).toEqual(["'none'"]);
    expect(policy.get("object-src")).toEqual(["'none'"]);
    const scripts = policy.get("script-src") ?? [];
    expect(scripts[0]).toBe("'self'");
    expect(scripts[1]).toMatch(/^'nonce-[A-Za-z0-9+/=]{20,}'$/);
    expect(scripts).toHaveLength(2);
    expect(headers["x-content-type-options"]).toBe("nosniff");
    expect(headers["x-frame-options"]).toBe("DENY");
    expect(headers["referrer-policy"]).toBe("no-referrer");
    expect(headers["cross-origin-opener-policy"]).toBe("same-origin");
    expect(headers["permissions-policy"]).toContain("camera=()");
    // Every script in the page itself carries the nonce of this answer and of no other.
    const nonce = scripts[1].slice(7, -1);
    const html = (await answer?.text()) ?? "";
    const inline = [...html.matchAll(/<script(?![^>]*\bsrc=)([^>]*)>/g)].map((m) => m[1]);
    expect(inline.length).toBeGreaterThan(0);
    for (const attributes of inline) expect(attributes).toContain(`nonce="${nonce}"`);
    const again = await page.request.get(path);
    expect(again.headers()["content-security-policy"]).not.toContain(nonce);
    await page.waitForLoadState("networkidle");
    expect(violations).toEqual([]);
  });
}

test("a script that got into a page does not run", async ({ page }) => {
  await page.goto("/");
  await page.evaluate(async () => {
    const script = document.createElement("div");
    script.innerHTML = '<img src="x" onerror="window.ran = true">';
    document.body.append(script);
    const inline = document.createElement("script");
    inline.textContent = "window.ran = true";
    document.body.append(inline);
    // Its handlers would have been called by now.
    await new Promise((done) => script.firstElementChild?.addEventListener("error", done));
  });
  expect(await page.evaluate(() => (window as unknown as { ran?: boolean }).ran)).toBeUndefined();
});

test("answers to programs and to wrong methods are in one shape", async ({ request }) => {
  const bad = await request.post("/api/weigh", { data: "[".repeat(100_000) });
  expect(bad.status()).toBe(400);
  expect(bad.headers()["content-security-policy"]).toContain("default-src 'none'");
  expect((await bad.json()).reasons[0]).toMatchObject({ code: "too-complex" });
  for (const answer of [await request.get("/api/weigh"), await request.delete("/api/weigh")]) {
    expect(answer.status()).toBe(405);
    expect((await answer.json()).reasons[0].code).toBe("method");
  }
});

test("no other host name, and no page elsewhere, is answered", async ({ request }) => {
  const knife = '{"format":"euaxis-knife"}';
  const shut: [Record<string, string>, string][] = [
    [{ host: "elsewhere.invalid" }, "host"],
    [{ origin: "http://elsewhere.invalid" }, "origin"],
    [{ "sec-fetch-site": "cross-site" }, "origin"],
  ];
  for (const [headers, code] of shut) {
    const answer = await request.post("/api/weigh", { headers, data: knife });
    expect(answer.status()).toBe(403);
    expect((await answer.json()).reasons[0].code).toBe(code);
  }
  expect((await request.get("/stock", { headers: { host: "elsewhere.invalid" } })).status()).toBe(403);
  expect((await request.post("/stock", { data: "x" })).status()).toBe(405);
  expect((await request.fetch("/api/weigh", { method: "OPTIONS" })).status()).toBe(405);
});
