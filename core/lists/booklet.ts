import { findings } from "../checks";
import { setUps, type ItemPlan } from "../cutting";
import type { Quote, Wanted } from "../drawer";
import { elevation, line, PAPERS, tablePages, VIEWS, type PagePlan, type PaperId, type PdfPart, type TableLine } from "../drawing"; // prettier-ignore
import { jigSheets, pagesOf } from "../jigs";
import type { SheetJob } from "../jigs/sheetParts";
import { buildOf, type Design } from "../job";
import type { NestResult } from "../nesting";
import { BOOKLET, type BookletPart } from "./bookletParts";
import { cutListPages } from "./cutListPages";
import { finishPages } from "./finishPages";
import { findingPages } from "./findingPages";
import { USUAL_LABELS, type LabelGrid } from "./labelGrid";
import { labelPages } from "./labelPages";
import { seenPicture } from "./seenPicture";
import { setUpPages } from "./setUpPages";
import { sheetPages } from "./sheetPages";
import { shoppingPages } from "./shoppingPages";
import { stepPages } from "./stepPages";
import { stickPages } from "./stickPages";
import { listed, wordsOf } from "./words";

/** What was planned of a job, as far as it is known: parts that have none of it are left out. */
export interface Planned {
  readonly done: ReadonlySet<string>;
  readonly sticks: readonly ItemPlan[];
  readonly sheets: readonly { readonly job: SheetJob; readonly result: NestResult }[];
  readonly wanted: readonly Wanted[];
  readonly quotes: readonly (Quote | undefined)[];
  readonly spare: number;
  readonly labels?: LabelGrid & { readonly skip: number };
}

/** The parts that were ticked, each as pages under its name; the cover tells what follows on how many pages. What has nothing in it is left out. Errors: a grid of labels too small. */
export function bookletParts(
  d: Design,
  ticked: ReadonlySet<BookletPart>,
  p: Planned,
  paper: PaperId,
  date: string,
): PdfPart[] {
  const l = listed(d);
  const pieces = d.pieces.length > 0;
  const settings = setUps(d.pieces, d.doc.cutting.allowance, p.done);
  const make: Readonly<Record<Exclude<BookletPart, "cover">, () => readonly PdfPart[]>> = {
    findings: () => one("findings", findingPages(d, findings(d), paper, date)),
    shopping: () => (p.wanted.length > 0 ? one("shopping", shoppingPages(l, p.wanted, p.quotes, p.spare, paper, date)) : []),
    cutList: () => (pieces ? one("cutList", cutListPages(d, paper, date)) : []),
    setUps: () => (settings.length > 0 ? one("setUps", setUpPages(d, settings, paper, date)) : []),
    sticks: () => (p.sticks.length > 0 ? one("sticks", stickPages(l, p.sticks, paper, date)) : []),
    sheets: () => (p.sheets.length > 0 ? one("sheets", sheetPages(l, p.sheets, paper, date)) : []),
    labels: () => (pieces ? one("labels", labelPages(d, p.labels ?? USUAL_LABELS, paper, p.labels?.skip ?? 0)) : []),
    jigs: () => jigSheets(d, date).map((s) => ({ name: s.words.title, plan: pagesOf(s, paper) })),
    finish: () => (pieces && buildOf(d.doc).finish.length > 0 ? one("finish", finishPages(d, paper, date)) : []),
    steps: () => (pieces ? one("steps", stepPages(d, paper, date)) : []),
    notes: () => one("notes", notePages(d, paper, date)),
  }; // prettier-ignore
  const order = Object.keys(make) as (keyof typeof make)[];
  const parts = order.filter((k) => ticked.has(k)).flatMap((k) => make[k]());
  return ticked.has("cover") ? [{ name: "Cover", plan: coverPage(d, parts, paper, date) }, ...parts] : parts;
}
const one = (name: BookletPart, plan: PagePlan): readonly PdfPart[] => [{ name: BOOKLET[name], plan }];

/** The first page: what the job is, its structures as they are looked at, and what follows. */
function coverPage(d: Design, parts: readonly PdfPart[], paper: PaperId, date: string): PagePlan {
  const framed = d.structures.filter((s) => !s.fault && s.resolved.sticks.length > 0);
  const [w, h] = PAPERS[paper];
  // what the page has room for beside what is told under the pictures
  const high = Math.max(28, Math.min(150, h - 90 - parts.length * 5) / Math.max(1, Math.min(framed.length, 3)));
  const pictures = framed.slice(0, 3).flatMap((s): TableLine[] => {
    const seen = elevation(s.resolved.sticks, VIEWS[s.kind.home]);
    return [
      { kind: "head", text: s.structure.name },
      { kind: "picture", height: high - 8, draw: (at, width) => seenPicture(seen, [at[0], at[1] + 2], [Math.min(width, w), high - 12]) },
    ]; // prettier-ignore
  });
  let page = 2;
  const contents = parts.map((x): TableLine => {
    const from = page;
    page += x.plan.pages.length;
    return { kind: "row", cells: [x.name, from === page - 1 ? `page ${from}` : `pages ${from} to ${page - 1}`] };
  });
  const more = framed.length > 3 ? [{ kind: "words" as const, text: `And ${framed.length - 3} structures more.` }] : [];
  return tablePages(
    [
      { head: "", width: 60 },
      { head: "", width: 30, align: "end" },
    ],
    [...pictures, ...more, { kind: "head", text: "In this booklet, counted from this page" }, ...contents],
    paper,
    wordsOf(listed(d), d.doc.name, date),
  );
}

/** Pages of lines to write on. */
function notePages(d: Design, paper: PaperId, date: string): PagePlan {
  const lines = Math.floor((PAPERS[paper][1] - 50) / 9);
  const rule: TableLine = { kind: "picture", height: 9, draw: (at, w) => [line(at, [at[0] + w, at[1]], "thin")] };
  return tablePages([], Array.from({ length: lines }, () => rule), paper, wordsOf(listed(d), "Notes", date)); // prettier-ignore
}
