/**
 * What a record has under a key, where the key may be any text: undefined of what every object has besides, such as
 * "constructor" or "__proto__".
 */
export function own<T>(record: Readonly<Record<string, T>> | null | undefined, key: string): T | undefined {
  return record && Object.hasOwn(record, key) ? record[key] : undefined;
}
