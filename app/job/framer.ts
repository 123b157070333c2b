import type { IssuedMark } from "core/frame";
import type { JobDoc } from "core/job";
import type { Drafter } from "~/workers/drafter";
import type { Framer } from "~/workers/framer";
import type { Ask } from "~/workers/heldDesigns";
import type { StlWelder } from "~/workers/welder";
import { startWhenAsked } from "./Endable";

/** Frames of more sticks than this are made and checked off the main thread. */
export const AWAY_FROM = 1200;

/** A worker that frames. */
export const newFramer = (): Worker =>
  new Worker(new URL("../workers/frame.worker.ts", import.meta.url), { type: "module" });
/** Asks the worker that answers what is looked at: pictures and tickets, which people wait for. */
export const askLooker = startWhenAsked<Framer>(newFramer);
/** Asks the worker of what takes seconds: findings, comparisons. */
export const askChecker = startWhenAsked<Framer>(newFramer);
/** Asks the worker that draws sheets. */
export const askDrafter = startWhenAsked<Drafter>(
  () => new Worker(new URL("../workers/draft.worker.ts", import.meta.url), { type: "module" }),
);

/** Asks the worker that welds bodies into one solid. */
export const askWelder = startWhenAsked<StlWelder>(
  () => new Worker(new URL("../workers/weld.worker.ts", import.meta.url), { type: "module" }),
);

let count = 0;
/** A state of a job to ask a worker about. */
export const newAsk = (doc: JobDoc, issued: readonly IssuedMark[]): Ask => ({ n: ++count, doc, issued });
