import { wrap, type Remote } from "comlink";

/** What work says that was ended by who asked for it. */
export class WorkStopped extends Error {
  constructor() {
    super("Stopped.");
  }
}

/** A worker that can be ended at any moment, whatever it is at, or die by itself: what was asked of it then fails with the reason. */
export class Endable<T> {
  private readonly remote: Remote<T>;
  private fail!: (why: Error) => void;
  private ended = false;
  private readonly over = new Promise<never>((_, no) => (this.fail = no));
  constructor(private readonly worker: Worker) {
    this.remote = wrap<T>(worker);
    this.over.catch(() => undefined);
    worker.onerror = (e) => this.end(new Error(e.message || "The work broke off."));
  }
  /** Whether it can still be asked. */
  get alive(): boolean {
    return !this.ended;
  }
  /** Asks for something, which may take so many seconds where they are given: what takes longer ends the worker, with `late` as the reason. */
  async ask<A>(work: (r: Remote<T>) => Promise<A>, seconds?: number, late?: string): Promise<A> {
    if (seconds === undefined) return Promise.race([work(this.remote), this.over]);
    const clock = setTimeout(() => this.end(new Error(late ?? `This took longer than ${seconds} s and was stopped.`)), seconds * 1000); // prettier-ignore
    try {
      return await Promise.race([work(this.remote), this.over]);
    } finally {
      clearTimeout(clock);
    }
  }
  end(why: Error = new WorkStopped()): void {
    this.ended = true;
    this.fail(why);
    this.worker.terminate();
  }
}
/** A worker that is started when it is first asked, and anew when it has died. */
export function startWhenAsked<T>(make: () => Worker): <A>(work: (r: Remote<T>) => Promise<A>) => Promise<A> {
  let known: Endable<T> | undefined;
  return (work) => {
    if (!known?.alive) known = new Endable<T>(make());
    return known.ask(work);
  };
}
