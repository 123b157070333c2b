import type { Issue, JobDoc } from "core/job";
import type { Confirmed, Entry } from "core/keeping";

/** What a tab had not been able to keep: the state it was made on, and the entries in their order. */
export interface Left {
  readonly confirmed: Confirmed<JobDoc, Issue>;
  readonly pending: readonly Entry<Issue>[];
}
const TAB = "cardo-tab";
const PREFIX = "cardo-pending";
const keyOf = (job: string, tab: string): string => `${PREFIX}:${job}:${tab}`;
const newTab = (): string => crypto.randomUUID().slice(0, 8);

/** This tab's name, the same after a reload. */
let tab: string | undefined;
function tabName(): string {
  if (tab) return tab;
  try {
    tab = sessionStorage.getItem(TAB) ?? newTab();
    sessionStorage.setItem(TAB, tab);
  } catch {
    tab = newTab();
  }
  return tab;
}
function read(key: string): Left | undefined {
  try {
    const text = localStorage.getItem(key);
    const left = text ? (JSON.parse(text) as Left) : undefined;
    return left && Array.isArray(left.pending) && left.confirmed?.doc ? left : undefined;
  } catch {
    return undefined;
  }
}
/** What this tab left behind of a job before it was loaded again. */
export const readLeft = (job: string): Left | undefined => read(keyOf(job, tabName()));

/** Stores what is not kept yet; nothing pending clears it. Answers whether the browser took it. */
export function storeLeft(job: string, left: Left): boolean {
  const key = keyOf(job, tabName());
  try {
    if (left.pending.length === 0) localStorage.removeItem(key);
    else {
      // the history comes with the job again; what is needed of it is the state the entries were made on
      const { confirmed, pending } = left;
      localStorage.setItem(key, JSON.stringify({ confirmed: { ...confirmed, events: [] }, pending }));
    }
    return true;
  } catch {
    return false;
  }
}

/**
 * Holds this tab's name as long as the page lives, so that other tabs see that it does. A copy of a tab brings the same
 * name along and takes a new one. Where the browser has no locks nothing is held, and nothing is taken over.
 */
export async function claimTab(): Promise<void> {
  if (!("locks" in navigator)) return;
  const hold = (name: string): Promise<boolean> =>
    new Promise((told) => {
      void navigator.locks.request(`${TAB}-${name}`, { ifAvailable: true }, (lock) => {
        told(lock !== null);
        return lock ? new Promise(() => undefined) : undefined;
      });
    });
  if (await hold(tabName())) return;
  tab = newTab();
  try {
    sessionStorage.setItem(TAB, tab);
  } catch {
    // no storage: the name lasts as long as the page
  }
  await hold(tab);
}

/** What tabs that are closed have left behind of a job, taken over: their stores are emptied once `take` has it. */
export async function takeOrphans(job: string, take: (left: Left) => boolean): Promise<void> {
  if (!("locks" in navigator)) return;
  const start = `${PREFIX}:${job}:`;
  let keys: string[];
  try {
    keys = Object.keys(localStorage).filter((k) => k.startsWith(start) && k !== keyOf(job, tabName()));
  } catch {
    return;
  }
  for (const key of keys)
    await navigator.locks.request(`${TAB}-${key.slice(start.length)}`, { ifAvailable: true }, (lock) => {
      const left = lock ? read(key) : undefined;
      if (left && take(left)) localStorage.removeItem(key);
    });
}
