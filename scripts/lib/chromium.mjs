/** The browser that tests and measurements drive; EUAXIS_CHROMIUM names another than Debian's. */
export const CHROMIUM = process.env.EUAXIS_CHROMIUM ?? "/usr/bin/chromium";
