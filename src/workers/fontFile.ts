/** A font's file, as it ships with the application. */
export async function fontFile(name: string): Promise<Uint8Array> {
  const answer = await fetch(`/fonts/${name}`);
  if (!answer.ok) throw new Error(`the font ${name} could not be loaded`);
  return new Uint8Array(await answer.arrayBuffer());
}
