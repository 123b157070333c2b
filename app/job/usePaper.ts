import { useEffect, useState } from "react";
import { PAPERS, type PaperId } from "core/drawing";
import { recall, remember } from "~/ui/remembered";

const KEY = "cardo-paper";
/** The paper one prints on: the same on every stage, and the next time. */
export function usePaper(): readonly [PaperId, (p: PaperId) => void] {
  const [paper, setPaper] = useState<PaperId>("A4");
  useEffect(() => {
    const known = recall(KEY);
    if (known && Object.hasOwn(PAPERS, known)) setPaper(known as PaperId);
  }, []);
  return [
    paper,
    (p) => {
      setPaper(p);
      remember(KEY, p);
    },
  ];
}
