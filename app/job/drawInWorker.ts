import type { JobDoc } from "core/job";
import type { Framer } from "~/workers/framer";
import { Endable } from "./Endable";
import { newAsk, newFramer } from "./framer";

/** The picture of a job's first structure, made in a worker of its own that is ended after `limit` ms; undefined when it took longer or failed. */
export async function drawInWorker(doc: JobDoc, limit: number): Promise<string | undefined> {
  const worker = new Endable<Framer>(newFramer());
  try {
    return await worker.ask((w) => w.picture(newAsk(doc, [])), limit / 1000);
  } catch {
    return undefined;
  } finally {
    worker.end();
  }
}
