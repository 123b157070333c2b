/** The server is away or has a fault of its own: what was sent is neither kept nor refused. */
export class Away extends Error {}

/** Sends JSON and gives the answer, also where it says no. Errors: Away when there is no answer, or a fault of the server's. */
export async function post<T>(url: string, body: unknown): Promise<T> {
  const r = await fetch(url, {
    method: "POST",
    headers: { "content-type": "application/json" },
    body: JSON.stringify(body),
  }).catch((cause: unknown) => {
    throw new Away("The server does not answer.", { cause });
  });
  if (r.status >= 500) throw new Away(`The server answered ${r.status}.`);
  try {
    return (await r.json()) as T;
  } catch (cause) {
    throw new Away("The server's answer broke off.", { cause });
  }
}
