/** A body that is larger than may be. */
export class TooLarge extends Error {}

const megabytes = (n: number): string =>
  n >= 1048576 ? `${Math.round(n / 1048576)} MB` : `${Math.round(n / 1024)} kB`;

/**
 * The same request with a body that ends in TooLarge once more than `most` bytes of it were read, whether its length was
 * stated or not: nothing past that is kept.
 */
export function limited(request: Request, most: number): Request {
  const refuse = (): TooLarge =>
    new TooLarge(`What was sent is larger than ${megabytes(most)}, which is the most here.`);
  if (Number(request.headers.get("content-length") ?? 0) > most) throw refuse();
  if (!request.body) return request;
  let read = 0;
  const counted = request.body.pipeThrough(
    new TransformStream<Uint8Array, Uint8Array>({
      transform(chunk, out) {
        read += chunk.byteLength;
        if (read > most) throw refuse();
        out.enqueue(chunk);
      },
    }),
  );
  return new Request(request.url, {
    method: request.method,
    headers: request.headers,
    body: counted,
    duplex: "half",
  } as RequestInit);
}
/** What a request sends as JSON; undefined where it is none. Errors: TooLarge. */
export async function jsonOf(request: Request, most: number): Promise<unknown> {
  const text = await textOf(limited(request, most));
  try {
    return JSON.parse(text) as unknown;
  } catch {
    return undefined;
  }
}
/** The form that a request sends. Errors: TooLarge, or a sentence where it is none. */
export async function formOf(request: Request, most: number): Promise<FormData> {
  const own = limited(request, most);
  try {
    return await own.formData();
  } catch (e) {
    throw tooLarge(e) ?? new Error("What was sent broke off or is no form. Send it again.");
  }
}
async function textOf(request: Request): Promise<string> {
  try {
    return await request.text();
  } catch (e) {
    throw tooLarge(e) ?? new Error("What was sent broke off.");
  }
}
/** TooLarge as it comes out of a stream: itself, or as the cause of what the reader says. */
export function tooLarge(e: unknown): TooLarge | undefined {
  for (let x = e; x instanceof Error; x = x.cause) if (x instanceof TooLarge) return x;
  return undefined;
}

/** One after another, as they come: what takes much memory never runs twice at once. */
export class Queue {
  private last: Promise<unknown> = Promise.resolve();
  private waiting = 0;
  constructor(private readonly most: number) {}
  /** Runs work when all before it is done. Errors: Busy when too many wait already; those of the work. */
  async run<T>(work: () => Promise<T>): Promise<T> {
    if (this.waiting >= this.most) throw new Busy();
    this.waiting++;
    const mine = this.last.then(work, work);
    this.last = mine.catch(() => undefined);
    try {
      return await mine;
    } finally {
      this.waiting--;
    }
  }
}
export class Busy extends Error {
  constructor() {
    super("The server has its hands full with other uploads. Try it again in a moment.");
  }
}
