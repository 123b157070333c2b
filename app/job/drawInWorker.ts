import { wrap } from "comlink";
import type { JobDoc } from "core/job";
import type { Framer } from "~/workers/framer";
import { newAsk } from "./framer";

/** The picture of a job's first structure, made in a worker of its own that is ended after `limit` ms; undefined when it took longer or failed. */
export async function drawInWorker(doc: JobDoc, limit: number): Promise<string | undefined> {
  const worker = new Worker(new URL("../workers/frame.worker.ts", import.meta.url), { type: "module" });
  try {
    return await Promise.race([
      wrap<Framer>(worker).picture(newAsk(doc, [])),
      new Promise<undefined>((done) => setTimeout(() => done(undefined), limit)),
      new Promise<undefined>((done) => worker.addEventListener("error", () => done(undefined))),
    ]);
  } finally {
    worker.terminate();
  }
}
