/**
 * Who may ask for what: one middleware before everything else. A server on one's own machine is reached by every page that
 * a browser shows, so each request that changes something has to come from Cardo's own page, under one of the server's names.
 */
import onHeaders from "on-headers";

/** Where scripts, pictures and connections may come from: the server alone. `script` adds what one answer needs. */
export const policy = (script = "") =>
  [
    "default-src 'none'",
    // solvers are WebAssembly
    `script-src 'self' 'wasm-unsafe-eval'${script && ` ${script}`}`,
    // drawings place and colour things by attributes
    "style-src 'self' 'unsafe-inline'",
    "img-src 'self' data: blob:",
    "font-src 'self' data:",
    "connect-src 'self'",
    "worker-src 'self' blob:",
    "form-action 'self'",
    "base-uri 'none'",
    "frame-ancestors 'none'",
  ].join("; ");

const ALWAYS = {
  "x-content-type-options": "nosniff",
  "referrer-policy": "no-referrer",
  "x-frame-options": "DENY",
  "cross-origin-opener-policy": "same-origin",
  "cross-origin-resource-policy": "same-origin",
  "cross-origin-embedder-policy": "require-corp",
  "permissions-policy": "camera=(), microphone=(), geolocation=(), payment=(), usb=()",
};
/** The libraries of pictures and of solids build functions from text; each runs in a worker of its own, whose answer says what it may. */
const EVALUATES = /^\/assets\/(prototype|weld)\.worker-[\w-]+\.js$/;
/** What Cardo's own pages send, and what is said of anything else. */
const SENT = {
  form: [/^(application\/json|application\/x-www-form-urlencoded|multipart\/form-data)\s*(;|$)/i, "This takes a form."],
  json: [/^application\/json\s*(;|$)/i, "This takes JSON, sent as application/json."],
  zip: [/^application\/zip\s*(;|$)/i, "This takes a backup, sent as application/zip."],
};
/** Longest address that is read. */
const LONGEST = 4096;

/** The name in a Host header, without its port; "" when it is none. */
function nameOf(host) {
  const m = /^(\[[0-9a-f:.]+\]|[^:/?#@\\\s]+)(:\d{1,5})?$/i.exec(host ?? "");
  return m ? m[1].toLowerCase() : "";
}

/**
 * Refuses what does not come from Cardo's own page, with a status and a sentence; adds the headers that every answer has.
 * `names` are the server's names without ports; `takes` says what a path takes: a form, nothing but JSON, a backup, or
 * (undefined) nothing.
 */
export function doors({ names, takes }) {
  const own = new Set(names.map((n) => n.toLowerCase()));
  return (req, res, next) => {
    onHeaders(res, () => {
      for (const [name, value] of Object.entries(ALWAYS)) if (!res.getHeader(name)) res.setHeader(name, value);
      if (!res.getHeader("content-security-policy"))
        res.setHeader("content-security-policy", policy(EVALUATES.test(req.path) ? "'unsafe-eval'" : ""));
    });
    const refuse = (status, sentence) => {
      // what is still being sent is not read
      res.setHeader("connection", "close");
      res.status(status).type("text/plain; charset=utf-8").send(`${sentence}\n`);
    };
    const { host, origin } = req.headers;
    if (!own.has(nameOf(host)))
      return refuse(421, `This server is not called “${String(host ?? "").slice(0, 100)}”. Open it as it was started, or name it in CARDO_HOSTS.`); // prettier-ignore
    if (req.url.length > LONGEST) return refuse(414, "The address is longer than any of Cardo's.");
    try {
      if (/[\0-\x1f\x7f]/.test(decodeURIComponent(req.path)))
        return refuse(400, "The address has characters that no name has.");
    } catch {
      return refuse(400, "The address is not written as addresses are.");
    }
    if (req.method === "GET" || req.method === "HEAD") return next();
    if (req.method !== "POST") {
      res.setHeader("allow", "GET, HEAD, POST");
      return refuse(405, `Cardo has no use for ${req.method}.`);
    }
    const site = req.headers["sec-fetch-site"];
    const mine = origin !== undefined && (origin === `http://${host}` || origin === `https://${host}`);
    // a browser says where a request comes from in one of the two; what says nothing is no page of Cardo's
    if (
      (origin !== undefined && !mine) ||
      (site !== undefined && site !== "same-origin") ||
      (!mine && site === undefined)
    )
      return refuse(403, "Only Cardo's own page may change something. Open the Shelf and do it there.");
    const what = takes(req.path);
    if (what === undefined) {
      res.setHeader("allow", "GET, HEAD");
      return refuse(405, "Nothing is sent to this address.");
    }
    const [type, sentence] = SENT[what];
    if (!type.test(req.headers["content-type"] ?? "")) return refuse(415, sentence);
    next();
  };
}
