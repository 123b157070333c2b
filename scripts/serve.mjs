/** Serves the built application: HOST and PORT say where (127.0.0.1, 3000), CARDO_HOSTS which other names it has. What was packed when it was built goes out as it is. */
import { createRequestHandler } from "@react-router/express";
import compression from "compression";
import express from "express";
import sirv from "sirv";
import * as build from "../build/server/index.js";
import { doors } from "./doors.mjs";

const host = process.env.HOST ?? "127.0.0.1";
const port = Number(process.env.PORT ?? 3000);
const app = express();
app.disable("x-powered-by");
/** Where something is sent, and what. */
const TAKES = [
  [/^\/jobs\/[^/]+\/(revisions|card\.svg)$/, "json"],
  [/^\/jobs\/[^/]+\/pictures$/, "form"],
  [/^\/restore$/, "zip"],
  [/^\/drawer(\.data)?$/, "form"],
  [/^\/drawer\/(prices|jigs|cut|aside|choice|joinings|coats)$/, "json"],
  // the Shelf, as a page and as the data of one
  [/^\/(_(root)?\.data)?$/, "form"],
];
const more = (process.env.CARDO_HOSTS ?? "").split(",").map((n) => n.trim()).filter(Boolean); // prettier-ignore
app.use(
  doors({
    names: ["127.0.0.1", "localhost", "[::1]", ...(/^(0\.0\.0\.0|::)$/.test(host) ? [] : [host]), ...more],
    takes: (path) => TAKES.find(([at]) => at.test(path))?.[1],
  }),
);
app.use(
  sirv("build/client", {
    brotli: true,
    gzip: true,
    setHeaders: (res, path) =>
      res.setHeader(
        "cache-control",
        path.startsWith("/assets/") ? "public, max-age=31536000, immutable" : "public, max-age=3600",
      ),
  }),
);
app.use(compression());
app.all("*", createRequestHandler({ build, mode: process.env.NODE_ENV }));
const { makeReady, letGo } = build.entry.module;
const fault = makeReady();
if (fault) {
  console.error(fault);
  process.exit(1);
}
process.on("exit", letGo);
const server = app.listen(port, host, () => console.log(`Cardo is at http://${host}:${port}/`));
server.on("error", (e) => {
  console.error(e.code === "EADDRINUSE" ? `Port ${port} is in use. Name another in PORT.` : e.code === "EACCES" ? `Port ${port} may not be used. Name one above 1023 in PORT.` : `Cardo cannot listen at ${host}: ${e.message}.`); // prettier-ignore
  process.exit(1);
});
for (const signal of ["SIGINT", "SIGTERM"]) process.on(signal, () => { server.close(); server.closeAllConnections(); process.exit(0); }); // prettier-ignore
