/** Problems with something that came from outside: one sentence each, the first is the one to show. */
export class JobError extends Error {
  constructor(readonly sentences: readonly string[]) {
    super(sentences[0]);
    this.name = "JobError";
  }
}
