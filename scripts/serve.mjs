/** Serves the built application: HOST and PORT say where (127.0.0.1, 3000). What was packed when it was built goes out as it is. */
import { createRequestHandler } from "@react-router/express";
import compression from "compression";
import express from "express";
import sirv from "sirv";
import * as build from "../build/server/index.js";

const host = process.env.HOST ?? "127.0.0.1";
const port = Number(process.env.PORT ?? 3000);
const app = express();
app.disable("x-powered-by");
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
const server = app.listen(port, host, () => console.log(`Cardo is at http://${host}:${port}/`));
for (const signal of ["SIGINT", "SIGTERM"]) process.on(signal, () => { server.close(); server.closeAllConnections(); process.exit(0); }); // prettier-ignore
