import { useState } from "react";
import type { Printer } from "core/drawing";
import { recallJson, remember } from "~/ui/remembered";

const KEY = "cardo-printers";
interface Kept {
  readonly printers: readonly Printer[];
  /** Name of the one that is printed on; empty where pages go out as they are. */
  readonly on: string;
}
/** The printers that this browser knows. */
function known(): Kept {
  const read = (recallJson(KEY) ?? {}) as Partial<Kept>;
  const good = (Array.isArray(read.printers) ? read.printers : []).filter((p) => typeof p.name === "string" && p.across > 0.9 && p.across < 1.1 && p.up > 0.9 && p.up < 1.1); // prettier-ignore
  return { printers: good, on: good.some((p) => p.name === read.on) ? read.on! : "" };
}
/** What pages are corrected by when they are printed now; nothing where no printer is chosen. */
export function correctionNow(): { readonly correct?: { readonly across: number; readonly up: number } } {
  const { printers, on } = known();
  const p = printers.find((x) => x.name === on);
  return p ? { correct: { across: p.across, up: p.up } } : {};
}
/** The printers, and keeping them in this browser: a correction belongs to the machine beside it. */
export function usePrinters(): readonly [Kept, (k: Kept) => void] {
  const [kept, setKept] = useState(known);
  return [
    kept,
    (k) => {
      setKept(k);
      remember(KEY, JSON.stringify(k));
    },
  ];
}
