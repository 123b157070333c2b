/** What this browser keeps under a name; null where it keeps nothing, or has no storage. */
export function recall(key: string): string | null {
  try {
    return localStorage.getItem(key);
  } catch {
    return null;
  }
}
/** Keeps a thing in this browser; without storage it lasts as long as the page. */
export function remember(key: string, value: string): void {
  try {
    localStorage.setItem(key, value);
  } catch {
    // nothing to be done about it
  }
}
/** What was kept as JSON; undefined where there is none, or it was written by something else. */
export function recallJson(key: string): unknown {
  try {
    return JSON.parse(recall(key) ?? "null") ?? undefined;
  } catch {
    return undefined;
  }
}
