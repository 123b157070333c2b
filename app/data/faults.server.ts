/** What went wrong with the disk or the database, in words a person can act on; undefined when it is something else. */
export function faultWords(e: unknown): string | undefined {
  const code = e instanceof Error && "code" in e ? String(e.code) : "";
  switch (code) {
    case "SQLITE_FULL":
    case "ENOSPC":
    case "EDQUOT":
      return "The disk is full, so nothing can be kept. Make room on it; what you typed waits here until then.";
    case "SQLITE_BUSY":
    case "SQLITE_BUSY_SNAPSHOT":
    case "SQLITE_LOCKED":
      return "Another program holds Cardo's database. Close it, or the second Cardo on the same folder; what you typed waits here until then.";
    case "SQLITE_READONLY":
    case "SQLITE_READONLY_DBMOVED":
    case "SQLITE_READONLY_DIRECTORY":
    case "SQLITE_CANTOPEN":
    case "EACCES":
    case "EPERM":
    case "EROFS":
      return "Cardo may not write into its folder. Give it the right to, or start it with CARDO_DATA naming another folder.";
    case "SQLITE_CORRUPT":
    case "SQLITE_NOTADB":
      return "Cardo's database is damaged. Stop Cardo, keep a copy of its folder, and put a backup in its place: npm run -s cardo -- restore FILE.";
    case "SQLITE_IOERR":
    case "EIO":
      return "The disk does not answer as it should. Look after it, and keep a backup elsewhere.";
    default:
      return /^SQLITE_IOERR/.test(code) ? "The disk does not answer as it should. Look after it, and keep a backup elsewhere." : undefined; // prettier-ignore
  }
}
