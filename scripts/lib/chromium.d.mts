export const CHROMIUM: string;
export const CHROMIUM_PACKAGE: string;
