import { existsSync } from "node:fs";

const DEBIANS = ["/usr/bin/chromium-headless-shell", "/usr/bin/chromium"];

/** The browser that tests and measurements drive: the one that EUAXIS_CHROMIUM names, or Debian's, without a window first. */
export const CHROMIUM = process.env.EUAXIS_CHROMIUM ?? DEBIANS.find((path) => existsSync(path)) ?? DEBIANS[0];

/** The Debian package that brings the first of them. */
export const CHROMIUM_PACKAGE = "chromium-headless-shell";
