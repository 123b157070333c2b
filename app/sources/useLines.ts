import { useEffect, useState } from "react";
import { readSheetLines, type SheetLines } from "core/sources";

const known = new Map<string, Promise<SheetLines>>();
/** The lines kept under a hash, loaded once for all who ask. */
export function loadLines(hash: string): Promise<SheetLines> {
  const promise =
    known.get(hash) ??
    fetch(`/lines/${hash}`).then(async (r) => {
      if (!r.ok) throw new Error("The drawing's lines could not be loaded.");
      return readSheetLines(await r.text());
    });
  known.set(hash, promise);
  promise.catch(() => known.delete(hash));
  return promise;
}
/** The lines of a drawing once they are there. */
export function useLines(hash: string | undefined): SheetLines | undefined {
  const [got, setGot] = useState<{ hash: string; lines: SheetLines }>();
  useEffect(() => {
    if (!hash) return;
    let here = true;
    loadLines(hash).then(
      (lines) => here && setGot({ hash, lines }),
      () => undefined,
    );
    return () => void (here = false);
  }, [hash]);
  return got && got.hash === hash ? got.lines : undefined;
}
