/** The server is away or has a fault of its own: what was sent is neither kept nor refused. `words` are what it says of the fault. */
export class Away extends Error {
  constructor(
    message: string,
    readonly words?: string,
    cause?: unknown,
  ) {
    super(message, { cause });
  }
}

/** Sends JSON and gives the answer, also where it says no. Errors: Away when there is no answer, or a fault of the server's. */
export async function post<T>(url: string, body: unknown): Promise<T> {
  const r = await fetch(url, {
    method: "POST",
    headers: { "content-type": "application/json" },
    body: JSON.stringify(body),
  }).catch((cause: unknown) => {
    throw new Away("The server does not answer.", undefined, cause);
  });
  if (r.status >= 500) {
    const said = (await r.json().catch(() => undefined)) as { fault?: unknown } | undefined;
    throw new Away(`The server answered ${r.status}.`, typeof said?.fault === "string" ? said.fault : undefined);
  }
  try {
    return (await r.json()) as T;
  } catch (cause) {
    throw new Away("The server's answer broke off.", undefined, cause);
  }
}
