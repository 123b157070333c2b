import { useEffect, useRef } from "react";
import { jobPicture } from "core/job";
import { askLooker } from "./framer";
import { useJob } from "./JobContext";
import { post } from "./post";

/** A pause after the last edit before the card's picture is drawn anew, ms. */
const PAUSE = 1500;

/** Keeps the picture on the Shelf's card as the design is: drawn where the frame is at hand, once all is kept. */
export function useCardPicture(drawn: number): void {
  const { id, design, doc, away, ask, kept, revision } = useJob();
  const sent = useRef(drawn);
  useEffect(() => {
    if (kept !== "kept" || sent.current === revision || design.doc !== doc) return;
    const wait = setTimeout(() => {
      sent.current = revision;
      // one that does not arrive is drawn by the Shelf
      void Promise.resolve(away ? askLooker((w) => w.picture(ask)) : jobPicture(design))
        .then((picture) => post(`/jobs/${id}/card.svg`, { revision, picture }))
        .catch(() => undefined);
    }, PAUSE);
    return () => clearTimeout(wait);
  }, [id, design, doc, away, ask, kept, revision]);
}
