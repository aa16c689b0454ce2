import { describe, expect, it } from "vitest";
import { hostsOf, shutTo } from "./gate";

const hosts = hostsOf({});
const asked = (headers: Record<string, string>, method = "GET", path = "/") => ({
  method,
  path,
  header: (name: string) => headers[name] ?? null,
});
const statusOf = (...of: Parameters<typeof asked>) => shutTo(asked(...of), hosts)?.status ?? null;

describe("what the server answers", () => {
  it("comes to a host name that it was started for", () => {
    for (const host of ["localhost:3000", "127.0.0.1:3000", "[::1]:3000", "LOCALHOST", "localhost"])
      expect(statusOf({ host }), host).toBeNull();
    for (const host of [
      "evil.example",
      "localhost.evil.example:3000",
      "127.0.0.1.evil.example",
      "",
      "[::2]:3000",
    ])
      expect(statusOf({ host }), host).toBe(403);
    expect(statusOf({})).toBe(403);
    expect(
      shutTo(asked({ host: "bench.local:3000" }), hostsOf({ EUAXIS_HOSTS: " Bench.local ,x" })),
    ).toBeNull();
  });

  it("comes from its own pages, or from no page", () => {
    const host = "localhost:3000";
    expect(statusOf({ host, origin: "http://localhost:3000" }, "POST", "/api/weigh")).toBeNull();
    expect(statusOf({ host }, "POST", "/api/weigh"), "a shell has no origin").toBeNull();
    for (const origin of ["http://evil.example", "http://localhost:4000", "null", "x"])
      expect(statusOf({ host, origin }, "POST", "/api/weigh"), origin).toBe(403);
    expect(statusOf({ host, "sec-fetch-site": "cross-site" }, "POST", "/api/weigh")).toBe(403);
    expect(
      statusOf({ host, "sec-fetch-site": "cross-site" }),
      "a link on another page leads here",
    ).toBeNull();
  });

  it("is asked by a method that it knows", () => {
    const host = "localhost:3000";
    for (const method of ["GET", "HEAD", "PUT", "DELETE", "OPTIONS", "PATCH", "PROPFIND", "TRACE"])
      expect(shutTo(asked({ host }, method, "/api/weigh"), hosts), method).toMatchObject({
        status: 405,
        allow: "POST",
      });
    for (const method of ["POST", "PUT", "DELETE", "OPTIONS", "PROPFIND"])
      expect(shutTo(asked({ host }, method, "/stock"), hosts), method).toMatchObject({
        status: 405,
        allow: "GET, HEAD",
      });
    expect(statusOf({ host }, "HEAD", "/stock")).toBeNull();
  });
});
