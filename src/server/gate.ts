import { refusal } from "./answerWeighing";

/** Names that this machine has for itself. */
const OWN_NAMES = ["localhost", "127.0.0.1", "[::1]"];

/** Host names that the server was started for: those of this machine, and what `EUAXIS_HOSTS` adds, parted by commas. */
export function hostsOf(env: Readonly<Record<string, string | undefined>>): ReadonlySet<string> {
  const more = (env.EUAXIS_HOSTS ?? "").split(",").map((name) => name.trim().toLowerCase());
  return new Set([...OWN_NAMES, ...more.filter((name) => name !== "")]);
}

/** What is looked at of a request before anything else of it. */
export interface Asked {
  readonly method: string;
  readonly path: string;
  header(name: string): string | null;
}

/** Why a request is not answered. */
export interface Shut {
  readonly status: 403 | 405;
  readonly body: string;
  readonly allow?: string;
}

/**
 * Refuses what does not come from a page of this server: another host name, as a page elsewhere can make one that leads
 * here; another origin; a method that nothing here answers to. Null of what may pass. It costs next to nothing: a page
 * elsewhere cannot keep the server busy.
 */
export function shutTo({ method, path, header }: Asked, hosts: ReadonlySet<string>): Shut | null {
  const host = nameOf(header("host"));
  if (host === null || !hosts.has(host))
    return shut(403, "host", "This server does not answer to that host name.");
  const origin = header("origin");
  if (origin !== null && !sameOrigin(origin, header("host")))
    return shut(403, "origin", "This server answers its own pages only.");
  const api = path === "/api" || path.startsWith("/api/");
  if (api && header("sec-fetch-site") === "cross-site")
    return shut(403, "origin", "This server answers its own pages only.");
  const methods = api ? ["POST"] : ["GET", "HEAD"];
  if (!methods.includes(method)) {
    const allow = methods.join(", ");
    return { ...shut(405, "method", `Only ${allow} is answered here.`), allow };
  }
  return null;
}

function shut(status: 403 | 405, code: string, message: string): Shut {
  return { status, body: refusal(status, [{ code, message }]).body };
}

/** The name in a Host header, without its port, in small letters; null of none. */
function nameOf(host: string | null): string | null {
  if (host === null) return null;
  const end = host.startsWith("[") ? host.indexOf("]") + 1 : host.indexOf(":");
  return (end > 0 ? host.slice(0, end) : host).toLowerCase();
}

/** Whether a page of an origin lies on the very host and port that is asked. */
function sameOrigin(origin: string, host: string | null): boolean {
  try {
    return new URL(origin).host === host?.toLowerCase();
  } catch {
    return false;
  }
}
