import { useEffect } from "react";
import { useRevalidator } from "react-router";
import type { Card } from "~/data/shelf.server";
import type { JobState } from "~/data/jobs.server";
import { post } from "~/job/post";
import { drawInWorker } from "~/job/drawInWorker";

/** A job that takes longer than this to draw goes without a picture here; it gets one when it is opened. */
const LONGEST_MS = 20_000;
/** Jobs that were tried on this page. */
const tried = new Set<string>();

/** Draws the pictures that cards lack or that show an earlier revision, one after another, off the main thread. */
export function useMissingPictures(jobs: readonly Card[]): void {
  const { revalidate } = useRevalidator();
  useEffect(() => {
    let alive = true;
    const todo = jobs.filter((j) => !j.fault && j.stages.includes("framing") && j.drawn !== j.revision && !tried.has(`${j.id} ${j.revision}`)); // prettier-ignore
    const run = async (): Promise<void> => {
      let drawn = 0;
      for (const j of todo) {
        if (!alive) return;
        tried.add(`${j.id} ${j.revision}`);
        try {
          const answer = await fetch(`/jobs/${j.id}/state?since=-1`);
          if (!answer.ok) continue;
          const { confirmed } = (await answer.json()) as JobState;
          const picture = await drawInWorker(confirmed.doc, LONGEST_MS);
          if (picture === undefined) continue;
          await post(`/jobs/${j.id}/card.svg`, { revision: confirmed.revision, picture });
          drawn++;
        } catch {
          // a job that cannot be drawn harms no other; its card stays without a picture
        }
      }
      if (drawn > 0 && alive) await revalidate();
    };
    void run();
    return () => {
      alive = false;
    };
  }, [jobs, revalidate]);
}
