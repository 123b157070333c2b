import { createReadableStreamFromReadable } from "@react-router/node";
import { randomBytes } from "node:crypto";
import { PassThrough } from "node:stream";
import { renderToPipeableStream } from "react-dom/server";
import { isRouteErrorResponse, ServerRouter, type EntryContext } from "react-router";
import { policy } from "../scripts/doors.mjs";
import { Nonce } from "./nonce";

export { letGo, makeReady } from "./data/start.server";

/** What goes wrong inside is for the log; an address that is none, or a visitor who left, is nothing wrong. */
export function handleError(e: unknown, { request }: { request: Request }): void {
  if (!request.signal.aborted && !isRouteErrorResponse(e)) console.error(e);
}

/** How long a page may take, ms: what it waits for is given up then. */
export const streamTimeout = 5_000;

/** Renders a page. Its own scripts carry a word that the answer's policy names, so that no other inline script runs. */
export default function handleRequest(
  request: Request,
  status: number,
  headers: Headers,
  routerContext: EntryContext,
): Promise<Response> | Response {
  const nonce = randomBytes(16).toString("base64");
  headers.set("content-type", "text/html; charset=utf-8");
  headers.set("content-security-policy", policy(`'nonce-${nonce}'`));
  headers.set("cache-control", "no-store");
  if (request.method === "HEAD") return new Response(null, { status, headers });
  return new Promise((resolve, reject) => {
    let begun = false;
    const { pipe, abort } = renderToPipeableStream(
      <Nonce value={nonce}>
        <ServerRouter context={routerContext} url={request.url} nonce={nonce} />
      </Nonce>,
      {
        nonce,
        onShellReady() {
          begun = true;
          const body = new PassThrough({
            final(done) {
              clearTimeout(late);
              done();
            },
          });
          pipe(body);
          resolve(new Response(createReadableStreamFromReadable(body), { status, headers }));
        },
        onShellError: reject,
        onError(e) {
          status = 500;
          if (begun) console.error(e);
        },
      },
    );
    const late = setTimeout(abort, streamTimeout + 1000);
  });
}
