import { wrap, type Remote } from "comlink";
import type { IssuedMark } from "core/frame";
import type { JobDoc } from "core/job";
import type { Ask, Framer } from "~/workers/framer";

/** Frames of more sticks than this are made and checked off the main thread. */
export const AWAY_FROM = 1200;

const start = (): Remote<Framer> =>
  wrap<Framer>(new Worker(new URL("../workers/frame.worker.ts", import.meta.url), { type: "module" }));
let looker: Remote<Framer> | undefined;
let checker: Remote<Framer> | undefined;
/** The worker that answers what is looked at: pictures and tickets, which people wait for. */
export const startLooker = (): Remote<Framer> => (looker ??= start());
/** The worker of what takes seconds: findings, comparisons. */
export const startChecker = (): Remote<Framer> => (checker ??= start());

let count = 0;
/** A state of a job to ask a worker about. */
export const newAsk = (doc: JobDoc, issued: readonly IssuedMark[]): Ask => ({ n: ++count, doc, issued });
