const isDigit = (c: number) => c >= 0x30 && c <= 0x39;

/** Where a number that begins at `at` ends; `at` itself where none begins there. */
export function numberEnd(text: string, at: number): number {
  let i = at;
  const c = text.charCodeAt(i);
  if (c === 0x2b || c === 0x2d) i++;
  const digits = i;
  while (isDigit(text.charCodeAt(i))) i++;
  let count = i - digits;
  if (text.charCodeAt(i) === 0x2e) {
    const fraction = ++i;
    while (isDigit(text.charCodeAt(i))) i++;
    count += i - fraction;
    if (count === 0) return at;
  }
  if (count === 0) return at;
  const e = text.charCodeAt(i);
  if (e === 0x45 || e === 0x65) {
    let j = i + 1;
    const sign = text.charCodeAt(j);
    if (sign === 0x2b || sign === 0x2d) j++;
    const power = j;
    while (isDigit(text.charCodeAt(j))) j++;
    if (j > power) i = j;
  }
  return i;
}

const isSpace = (c: number) => c === 0x20 || (c >= 0x09 && c <= 0x0d) || c === 0x2c;

/** Where what follows white space and commas begins. */
export function pastSpace(text: string, at: number): number {
  let i = at;
  while (i < text.length && isSpace(text.charCodeAt(i))) i++;
  return i;
}

/** The numbers of a list parted by spaces and commas, up to the first thing that is none. */
export function numbersIn(text: string): number[] {
  const found: number[] = [];
  for (let at = pastSpace(text, 0); at < text.length; ) {
    const end = numberEnd(text, at);
    if (end === at) break;
    found.push(Number(text.slice(at, end)));
    at = pastSpace(text, end);
  }
  return found;
}

/** A number and the letters, or the %, behind it, such as "200mm"; null of anything else. */
export function measureIn(text: string): { readonly value: number; readonly unit: string } | null {
  const clean = text.trim();
  const end = numberEnd(clean, 0);
  if (end === 0) return null;
  const unit = clean.slice(end);
  const value = Number(clean.slice(0, end));
  return /^(%|[A-Za-z]{0,4})$/.test(unit) && Number.isFinite(value) ? { value, unit } : null;
}
