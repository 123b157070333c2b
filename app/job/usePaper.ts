import { useEffect, useState } from "react";
import { PAPERS, type PaperId } from "core/drawing";

const KEY = "cardo-paper";
/** The paper one prints on: the same on every stage, and the next time. */
export function usePaper(): readonly [PaperId, (p: PaperId) => void] {
  const [paper, setPaper] = useState<PaperId>("A4");
  useEffect(() => {
    try {
      const known = localStorage.getItem(KEY);
      if (known && Object.hasOwn(PAPERS, known)) setPaper(known as PaperId);
    } catch {
      // no storage: A4 until it is chosen
    }
  }, []);
  return [
    paper,
    (p) => {
      setPaper(p);
      try {
        localStorage.setItem(KEY, p);
      } catch {
        // no storage: it lasts as long as the page
      }
    },
  ];
}
