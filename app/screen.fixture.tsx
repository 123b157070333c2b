import "core/structures/all";
import { cleanup, configure, render, screen, waitFor, within } from "@testing-library/react";
import userEvent, { type UserEvent } from "@testing-library/user-event";
import { mkdtempSync, readFileSync, rmSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { expose } from "comlink";
import { createRoutesStub } from "react-router";
import { Toaster } from "sonner";
import { afterAll, afterEach, beforeAll, expect, vi } from "vitest";
import { readJobFile, writeJobFile, type Issue, type JobDoc } from "core/job";
import { closeDb, db } from "~/data/db.server";
import { movements } from "~/data/schema.server";
import { importJob, issuesOf, readJob } from "~/data/jobs.server";
import Bench from "~/routes/bench/bench";
import Brief from "~/routes/brief/brief";
import Cutting from "~/routes/cutting/cutting";
import Drawings from "~/routes/drawings/drawings";
import Framing from "~/routes/framing/framing";
import Jigs from "~/routes/jigs/jigs";
import * as drawerAside from "~/routes/drawer/aside";
import * as drawerChoice from "~/routes/drawer/choice";
import * as drawerCut from "~/routes/drawer/cut";
import * as drawerJigs from "~/routes/drawer/jigs";
import * as drawerNames from "~/routes/drawer/names";
import * as drawerCoats from "~/routes/drawer/coats";
import * as drawerJoinings from "~/routes/drawer/joinings";
import * as drawerPrices from "~/routes/drawer/prices";
import * as drawerState from "~/routes/drawer/state";
import * as card from "~/routes/job/card";
import * as layout from "~/routes/job/layout";
import * as revisions from "~/routes/job/revisions";
import * as state from "~/routes/job/state";
import Stock from "~/routes/stock/stock";
import { drafter } from "~/workers/drafter";
import { framer } from "~/workers/framer";
import { planner } from "~/workers/planner";
import { welder } from "~/workers/welder";

/**
 * The screens in one process, without a browser: the real stages on the real server's own loaders, actions and database,
 * with a page of elements between them that has no layout and paints nothing.
 */
const STAGES = { brief: Brief, drawings: Drawings, framing: Framing, stock: Stock, cutting: Cutting, jigs: Jigs, bench: Bench }; // prettier-ignore
export type Stage = keyof typeof STAGES;

/** How the server behaves: as it is, or not there. */
export const server = { away: false, sent: [] as { url: string; body: unknown }[] };

/** Answers a request as the server would. */
async function answer(input: RequestInfo | URL, init?: RequestInit): Promise<Response> {
  if (server.away) throw new TypeError("Failed to fetch");
  const request = new Request(new URL(String(input), "http://127.0.0.1"), init as ConstructorParameters<typeof Request>[1]); // prettier-ignore
  const path = new URL(request.url).pathname;
  const [, , id, what] = path.split("/");
  if (request.method === "POST") server.sent.push({ url: path, body: JSON.parse(String(init?.body)) });
  const args = { request, params: { job: id! }, context: {} } as never;
  if (path === "/drawer/jigs") return request.method === "POST" ? drawerJigs.action(args) : drawerJigs.loader();
  if (path === "/drawer/cut") return drawerCut.action(args);
  if (path === "/drawer/choice") return drawerChoice.action(args);
  if (path === "/drawer/aside") return drawerAside.action(args);
  if (path === "/drawer/joinings")
    return request.method === "POST" ? drawerJoinings.action(args) : drawerJoinings.loader();
  if (path === "/drawer/names") return drawerNames.loader();
  if (path === "/drawer/coats") return request.method === "POST" ? drawerCoats.action(args) : drawerCoats.loader();
  if (path === "/drawer/prices") return drawerPrices.action(args);
  if (path === "/drawer/state") return drawerState.loader(args);
  if (what === "revisions") return revisions.action(args);
  if (what === "state") return state.loader(args);
  if (what === "card.svg") return card.action(args);
  throw new Error(`Nothing answers ${path} here.`);
}

/** Workers answer from this process, over the channel that they speak through in a browser. `hold` keeps their answers back. */
export const workers = { started: [] as string[], hold: undefined as Promise<void> | undefined };
class NearWorker extends EventTarget {
  private readonly channel = new MessageChannel();
  constructor(url: URL) {
    super();
    const name = /([a-z]+)\.worker/.exec(String(url))![1]!;
    workers.started.push(name);
    const { port1, port2 } = this.channel;
    expose(
      { frame: () => framer, draft: () => drafter, weld: () => welder(), planner: () => planner() }[name]!(),
      port1 as never,
    );
    port2.addEventListener("message", (e) => {
      const tell = (): unknown => this.dispatchEvent(new MessageEvent("message", { data: (e as MessageEvent).data }));
      void Promise.resolve(workers.hold).then(tell);
    });
    port2.start();
  }
  postMessage(data: unknown, transfer: Transferable[] = []): void {
    this.channel.port2.postMessage(data, transfer);
  }
  terminate(): void {
    this.channel.port2.close();
  }
}

/** What a page of elements lacks. */
function mendPage(): void {
  class Nothing {
    observe(): void {}
    unobserve(): void {}
    disconnect(): void {}
  }
  const size = new DOMRect(0, 0, 900, 600);
  class Resized extends Nothing {
    constructor(private readonly tell: (entries: object[]) => void) {
      super();
    }
    override observe(target?: Element): void {
      this.tell([{ target, contentRect: size, borderBoxSize: [{ inlineSize: 900, blockSize: 600 }] }]);
    }
  }
  vi.stubGlobal("ResizeObserver", Resized);
  vi.stubGlobal("IntersectionObserver", Nothing);
  vi.stubGlobal("matchMedia", () => ({ matches: false, addEventListener() {}, removeEventListener() {} }));
  vi.stubGlobal("Worker", NearWorker);
  vi.stubGlobal("fetch", answer);
  Element.prototype.scrollIntoView = () => undefined;
  Object.assign(SVGElement.prototype, { getBBox: () => new DOMRect(0, 0, 10, 10), getComputedTextLength: () => 10 });
  document.elementsFromPoint = () => [];
  Object.assign(Element.prototype, {
    setPointerCapture() {},
    releasePointerCapture() {},
    hasPointerCapture: () => false,
  });
  const canvas = new Proxy({}, { get: (_, k) => (k === "measureText" ? () => ({ width: 10 }) : () => undefined) });
  HTMLCanvasElement.prototype.getContext = (() => canvas) as never;
  // an element of the page is as large as a screen: boards fit into it
  Element.prototype.getBoundingClientRect = () => size;
  for (const [name, size] of [
    ["clientWidth", 900],
    ["clientHeight", 600],
    ["offsetWidth", 900],
    ["offsetHeight", 600],
  ] as const)
    // prettier-ignore
    Object.defineProperty(HTMLElement.prototype, name, { configurable: true, get: () => size });
}

/**
 * Labels of a field as a browser keeps them: by its id, and the one round it. The page of elements looks at every label of
 * the page for every field instead, which takes seconds on a panel of ninety fields.
 */
function quickLabels(): void {
  const labels = function (this: HTMLElement): Element[] {
    const round = this.closest("label");
    const all = [...document.getElementsByTagName("label")];
    const named: Element[] = this.id === "" ? [] : all.filter((l) => l.htmlFor === this.id);
    return round && !round.hasAttribute("for") && !named.includes(round) ? [round, ...named] : named;
  };
  for (const of of [HTMLInputElement, HTMLSelectElement, HTMLTextAreaElement, HTMLButtonElement, HTMLOutputElement])
    Object.defineProperty(of.prototype, "labels", { configurable: true, get: labels });
}

/** To be called once by a test file that looks at screens. What lies in the drawer after a test is gone before the next one, but where it is `kept`. */
export function setUpScreens(drawer: "emptied" | "kept" = "emptied"): void {
  let dir = "";
  beforeAll(() => {
    dir = mkdtempSync(join(tmpdir(), "cardo-screens-"));
    process.env.CARDO_DATA = dir;
    // a busy machine is given its time
    configure({ asyncUtilTimeout: 20_000 });
    mendPage();
    quickLabels();
  });
  afterEach(() => {
    server.away = false;
    server.sent.length = 0;
    cleanup();
    workers.hold = undefined;
    workers.started.length = 0;
    localStorage.clear();
    if (drawer === "emptied") db().delete(movements).run();
  });
  afterAll(() => {
    closeDb();
    rmSync(dir, { recursive: true, force: true });
    vi.unstubAllGlobals();
  });
}

/** A job of the examples. */
export const example = (name: string): JobDoc => readJobFile(readFileSync(`examples/${name}.json`, "utf8")).doc;
/** A job without its drawings and papers, whose pictures a test does not need. */
export function bare(doc: JobDoc): JobDoc {
  const out: JobDoc = { ...doc, drawings: [] };
  delete out.papers;
  return out;
}

/** All words on the page with the names of what has no words, in one line. */
export function wordsOfPage(): string {
  const out: string[] = [];
  const walk = document.createTreeWalker(document.body, NodeFilter.SHOW_TEXT | NodeFilter.SHOW_ELEMENT);
  for (let n = walk.nextNode(); n; n = walk.nextNode()) {
    if (n instanceof HTMLInputElement || n instanceof HTMLTextAreaElement) out.push(n.value, n.placeholder);
    else if (n instanceof Element) out.push(n.getAttribute("aria-label") ?? "", n.getAttribute("title") ?? "");
    else if (n.parentElement?.tagName !== "STYLE") out.push(n.textContent ?? "");
  }
  return out
    .filter((t) => t.trim() !== "")
    .join(" ")
    .replace(/\s+/g, " ");
}

export interface OpenJob {
  readonly id: string;
  readonly user: UserEvent;
  /** What the server has kept, once nothing waits. */
  kept(): Promise<JobDoc>;
  events(): readonly Issue[];
  /** All words on the page, in one line. */
  words(): string;
  /** Goes to another stage by its link. */
  go(stage: string): Promise<void>;
  /** Types into a field and leaves it. */
  type(label: string | RegExp, text: string): Promise<HTMLElement>;
  /** What the field refuses, "" when it takes what is in it. */
  refusal(field: HTMLElement): string;
}

/** Waits until a stage is there. By its element, not its role: of a large drawing every role takes long to find out. */
const shown = (stage: string): Promise<void> =>
  waitFor(() => {
    const name = document.querySelector("main:not([aria-busy])")?.getAttribute("aria-label") ?? "";
    expect(name.toLowerCase()).toBe(stage.toLowerCase());
  });
const header = (): string => document.querySelector("header")?.textContent ?? "";

/** Puts a job of the examples on the shelf with its drawings, and opens it on a stage. */
export const openExample = async (name: string, stage: Stage): Promise<OpenJob> =>
  openOnShelf(await importJob(readFileSync(`examples/${name}.json`, "utf8")), stage);
/** Puts a job without drawings on the shelf and opens it on a stage. */
export const openJob = async (doc: JobDoc, stage: Stage, issues: readonly Issue[] = []): Promise<OpenJob> =>
  openOnShelf(await importJob(writeJobFile({ doc, issues, files: {} })), stage);

async function openOnShelf(id: string, stage: Stage): Promise<OpenJob> {
  const Stub = createRoutesStub([
    {
      path: "/jobs/:job",
      Component: layout.default as never,
      loader: layout.loader as never,
      HydrateFallback: () => null,
      ErrorBoundary: layout.ErrorBoundary as never,
      children: Object.entries(STAGES).map(([path, Component]) => ({ path, Component })),
    },
    { path: "/", Component: () => <p>The Shelf</p> },
  ]);
  render(
    <>
      <Stub initialEntries={[`/jobs/${id}/${stage}`]} />
      <Toaster />
    </>,
  );
  const user = userEvent.setup();
  await shown(stage);
  const waits = (): Promise<void> => waitFor(() => expect(header()).toMatch(/Kept at/));
  return {
    id,
    user,
    kept: async () => {
      await waits();
      return readJob(id)!.confirmed.doc;
    },
    events: () => issuesOf(id),
    words: wordsOfPage,
    go: async (name) => {
      const nav = screen.getByRole("navigation", { name: "Stages" });
      await user.click(within(nav).getByRole("link", { name: new RegExp(`^${name}`) }));
      await shown(name);
    },
    type: async (label, text) => {
      const field = screen.getByLabelText(label, { selector: "input, textarea" });
      await user.clear(field);
      if (text) await user.type(field, text.replace(/[[{]/g, "$&$&"));
      await user.tab();
      return field;
    },
    refusal: (field) => {
      const id = field.getAttribute("aria-describedby") ?? "";
      const said = field.getAttribute("aria-invalid") === "true" ? document.getElementById(id) : null;
      return said?.textContent ?? "";
    },
  };
}
