import { mkdirSync, statSync } from "node:fs";
import { dirname } from "node:path";

/**
 * Makes a folder and those above it that are not there. One after another: where no folder can be made at all, as under
 * /proc, Node's own way of making several goes on for ever. Errors: those of the disk.
 */
export function makeFolder(path: string): void {
  if (statSync(path, { throwIfNoEntry: false })?.isDirectory()) return;
  const above = dirname(path);
  if (above !== path) makeFolder(above);
  try {
    mkdirSync(path);
  } catch (e) {
    // somebody else was first
    if ((e as NodeJS.ErrnoException).code !== "EEXIST" || !statSync(path).isDirectory()) throw e;
  }
}
