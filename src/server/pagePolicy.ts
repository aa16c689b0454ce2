/**
 * What a page may load and do: everything from this server, no script in it without its nonce, nothing to anywhere else.
 * Styles are set by the components as they are drawn, and so may stand inline.
 * @see W3C Content Security Policy Level 3.
 */
export function pagePolicy(nonce: string): string {
  return [
    "default-src 'self'",
    `script-src 'self' 'nonce-${nonce}'`,
    "style-src 'self' 'unsafe-inline'",
    "img-src 'self' data: blob:",
    "font-src 'self'",
    "connect-src 'self'",
    "worker-src 'self'",
    "object-src 'none'",
    "base-uri 'none'",
    "form-action 'self'",
    "frame-ancestors 'none'",
  ].join("; ");
}
