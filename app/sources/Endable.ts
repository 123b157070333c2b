import { wrap, type Remote } from "comlink";

/** What work says that was ended by who asked for it. */
export class WorkStopped extends Error {
  constructor() {
    super("Stopped.");
  }
}

/** A worker that can be ended at any moment, whatever it is at: what was asked of it then fails with the reason. */
export class Endable<T> {
  private readonly remote: Remote<T>;
  private fail!: (why: Error) => void;
  private readonly over = new Promise<never>((_, no) => (this.fail = no));
  constructor(private readonly worker: Worker) {
    this.remote = wrap<T>(worker);
    this.over.catch(() => undefined);
    worker.onerror = (e) => this.end(new Error(e.message || "The work broke off."));
  }
  /** Asks for something that may take so many seconds; what takes longer ends the worker, with `late` as the reason. */
  async ask<A>(work: (r: Remote<T>) => Promise<A>, seconds: number, late?: string): Promise<A> {
    const clock = setTimeout(() => this.end(new Error(late ?? `This took longer than ${seconds} s and was stopped.`)), seconds * 1000); // prettier-ignore
    try {
      return await Promise.race([work(this.remote), this.over]);
    } finally {
      clearTimeout(clock);
    }
  }
  end(why: Error = new WorkStopped()): void {
    this.fail(why);
    this.worker.terminate();
  }
}
