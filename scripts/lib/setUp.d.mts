/** Bundles a program as the application would be; gives its file. */
export function bundled(entry: string, name: string): Promise<string>;
