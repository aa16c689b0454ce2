import { isRecord } from "../../../base/isRecord";
import { keyTwice } from "../jsonKeys";
import { BACKUP_LIMITS, BackupRefused } from "./format";

type Row = Readonly<Record<string, unknown>>;

/** The list of a backup that names its pictures. */
export const PICTURE_LIST = "pictures";

/**
 * Takes a backup's JSON apart while it streams in: every object of a list in "holds", and of the list "pictures", is handed
 * on as soon as it is complete; of the document a small rest stays, with a 0 in the place of each. Nothing is held but one
 * row; size, depth and number are bounded before anything is parsed. Throws `BackupRefused`.
 */
export class RowSplitter {
  /** The document without its rows. */
  private rest = "";
  private row = "";
  private depth = 0;
  /** How deep the row began; 0 outside of one. */
  private rowDepth = 0;
  private inString = false;
  private escaped = false;
  private lists: string[] = [];
  private count = 0;
  /** The key of the list that is open. */
  private list = "";
  private listCount = 0;

  constructor(private readonly receive: (list: string, row: Row) => Promise<void> | void) {}

  /** How many rows were handed on. */
  get rows(): number {
    return this.count;
  }

  /** Takes a piece of the text. */
  async push(text: string): Promise<void> {
    let from = 0;
    for (let i = 0; i < text.length; i++) {
      const c = text.charCodeAt(i);
      if (this.inString) {
        if (this.escaped) this.escaped = false;
        else if (c === BACKSLASH) this.escaped = true;
        else if (c === QUOTE) this.inString = false;
        continue;
      }
      if (c === QUOTE) this.inString = true;
      else if (c === OPEN_BRACE || c === OPEN_BRACKET) {
        if (this.rowDepth === 0) {
          if (c === OPEN_BRACE && this.inList()) {
            this.keep(text.slice(from, i));
            from = i;
            this.rowDepth = this.depth + 1;
          } else {
            this.lists[this.depth] = c === OPEN_BRACKET ? "[" : "{";
            if (c === OPEN_BRACKET && this.depth <= 2) {
              this.keep(text.slice(from, i));
              from = i;
              this.openList();
            }
          }
        }
        this.depth++;
        if (this.depth > BACKUP_LIMITS.depth) throw new BackupRefused({ ok: false, code: "not-json" });
      } else if (c === CLOSE_BRACE || c === CLOSE_BRACKET) {
        this.depth--;
        if (this.depth < 0) throw new BackupRefused({ ok: false, code: "not-json" });
        if (this.rowDepth > 0 && this.depth < this.rowDepth) {
          this.keep(text.slice(from, i + 1));
          from = i + 1;
          this.rowDepth = 0;
          const whole = this.row;
          this.row = "";
          this.rest += "0";
          await this.hand(whole);
        }
      }
    }
    this.keep(text.slice(from));
  }

  /** The document without its rows, once all of it has come. */
  end(): Readonly<Record<string, unknown>> {
    const content = parsed(this.rest);
    if (!isRecord(content)) throw new BackupRefused({ ok: false, code: "foreign" });
    const twice = keyTwice(this.rest, content);
    if (twice) throw new BackupRefused({ ok: false, code: "key-twice", key: twice.key });
    return content;
  }

  /** Whether an object that begins here is a row: in a list of "holds", or of pictures. */
  private inList(): boolean {
    const [first, second, third] = this.lists;
    if (this.depth === 3) return first === "{" && second === "{" && third === "[";
    return this.depth === 2 && first === "{" && second === "[";
  }

  private keep(piece: string): void {
    if (this.rowDepth > 0) {
      this.row += piece;
      if (this.row.length > BACKUP_LIMITS.rowLetters)
        throw new BackupRefused({ ok: false, code: "too-large" });
    } else {
      this.rest += piece;
      if (this.rest.length > MOST_REST) throw new BackupRefused({ ok: false, code: "too-large" });
    }
  }

  private async hand(text: string): Promise<void> {
    if (++this.count > BACKUP_LIMITS.rows) throw new BackupRefused({ ok: false, code: "too-large" });
    const row = parsed(text);
    if (!isRecord(row)) throw new BackupRefused({ ok: false, code: "not-json" });
    const twice = keyTwice(text, row);
    if (twice) throw new BackupRefused({ ok: false, code: "key-twice", key: twice.key });
    await this.receive(this.list, row);
  }

  /** Takes down the key of a list that begins: the last string before it. No key of ours is longer, or has escapes. */
  private openList(): void {
    if (++this.listCount > MOST_LISTS) throw new BackupRefused({ ok: false, code: "too-large" });
    const before = this.rest.slice(-LONGEST_KEY);
    const end = before.lastIndexOf('"');
    this.list = before.slice(before.lastIndexOf('"', end - 1) + 1, Math.max(0, end));
  }
}

const [QUOTE, BACKSLASH] = [0x22, 0x5c];
const [OPEN_BRACE, CLOSE_BRACE, OPEN_BRACKET, CLOSE_BRACKET] = [0x7b, 0x7d, 0x5b, 0x5d];
const MOST_LISTS = 100;
const LONGEST_KEY = 200;
/** What stands round the rows, letters: two for each row, and keys. */
const MOST_REST = 2 * BACKUP_LIMITS.rows + 8_000_000;

function parsed(text: string): unknown {
  try {
    return JSON.parse(text);
  } catch {
    throw new BackupRefused({ ok: false, code: "not-json" });
  }
}
