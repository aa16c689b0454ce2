import { keptTable, type Saved } from "./keptTable";
import type { SettingRecord } from "./rows";
import { SETTINGS } from "./tables/settings";

const table = keptTable<SettingRecord>(SETTINGS);

/** The value of a setting as it is kept, or waits to be; undefined of none. */
export const settingValue = async (key: string): Promise<unknown> => (await table.row(key))?.value;

/** The row of a setting, for whoever remembers what was read of it. */
export const settingRow = (key: string): Promise<SettingRecord | undefined> => table.row(key);

/**
 * Changes a setting by a function of its value. `seen` is the value that the maker saw when they changed it, where that may
 * be another than what is kept: what another tab changed since is not lost.
 */
export async function changeSetting(
  key: string,
  by: (value: unknown) => unknown,
  seen?: unknown,
): Promise<Saved<SettingRecord>> {
  return table.change(key, (now) => {
    // Of a setting that was never kept nothing was deleted: it is a new one.
    const base = now ? (seen === undefined ? now : { ...now, value: seen }) : null;
    return { base, row: { ...(base ?? { key }), value: by(base ? base.value : seen) } };
  });
}
