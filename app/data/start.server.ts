import { readFileSync, rmSync, writeFileSync } from "node:fs";
import { join } from "node:path";
import { dataDir, db } from "./db.server";
import { faultWords } from "./faults.server";
import { clearHalves } from "./pictures.server";

const lockFile = (): string => join(dataDir(), "server.lock");
/** The other process that serves the folder, where one does. */
export function whoServes(): number | undefined {
  try {
    const pid = Number(readFileSync(lockFile(), "utf8"));
    if (!Number.isInteger(pid) || pid <= 0 || pid === process.pid) return undefined;
    process.kill(pid, 0);
    return pid;
  } catch (e) {
    // a process of somebody else's is alive too
    return (e as NodeJS.ErrnoException).code === "EPERM" ? -1 : undefined;
  }
}

/**
 * Makes the folder ready to be served: by this process alone, its database whole and up to date, nothing left of uploads
 * that were cut short. Answers why it cannot be, in a sentence with what to do; then nothing was changed.
 */
export function makeReady(): string | undefined {
  const other = whoServes();
  if (other !== undefined)
    return `Another Cardo serves ${dataDir()} already (process ${other}). Use that one, or stop it first; or name another folder in CARDO_DATA.`;
  try {
    const d = db();
    const [check] = d.$client.pragma("quick_check(1)") as { quick_check: string }[];
    if (check && check.quick_check !== "ok")
      throw Object.assign(new Error(check.quick_check), { code: "SQLITE_CORRUPT" });
    writeFileSync(lockFile(), String(process.pid));
    clearHalves();
    return undefined;
  } catch (e) {
    return `${dataDir()} cannot be served. ${faultWords(e) ?? (e as Error).message}`;
  }
}
/** Lets the folder go when the server ends. */
export function letGo(): void {
  try {
    if (Number(readFileSync(lockFile(), "utf8")) === process.pid) rmSync(lockFile(), { force: true });
  } catch {
    // it was never taken
  }
}
