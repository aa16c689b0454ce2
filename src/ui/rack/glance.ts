/** A knife on the rack in a few words, as it last stood there. */
export interface GlanceRow {
  readonly name: string;
  readonly mass: string;
  readonly balance: string;
}

const KEY = "euaxis-rack";
/** What the rows stand in until the rack itself is there. */
export const GLANCE_ID = "rack-glance";
/** As many as a window shows. */
const MOST_ROWS = 10;

/** Keeps the rack as it stands, so that the next visit shows it before anything is loaded; a browser that keeps nothing shows nothing. */
export function keepGlance(rows: readonly GlanceRow[]): void {
  try {
    localStorage.setItem(KEY, JSON.stringify(rows.slice(0, MOST_ROWS)));
  } catch {
    // It is only a glance: the rack reads its knives themselves.
  }
}

/**
 * The script that puts those rows into the page while that is still being read: by itself, as nothing else is there yet.
 * What was kept is text and nothing else.
 */
export const GLANCE_SCRIPT = `(function () {
  try {
    var at = document.getElementById(${JSON.stringify(GLANCE_ID)});
    var rows = JSON.parse(localStorage.getItem(${JSON.stringify(KEY)}) || "[]");
    if (!at || !Array.isArray(rows)) return;
    rows.slice(0, ${MOST_ROWS}).forEach(function (row) {
      var line = document.createElement("p");
      ["name", "mass", "balance"].forEach(function (key) {
        var word = document.createElement("span");
        word.textContent = String((row && row[key]) || "");
        line.appendChild(word);
      });
      at.appendChild(line);
    });
  } catch (e) {}
})();`;
