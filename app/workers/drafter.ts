import { pageSvg, type PaperId, type PdfFonts, type PdfOptions } from "core/drawing";
import { stlOf } from "core/drawing/stl";
import { bodiesOf, gluedUpWith } from "core/frame";
import type { Vec3 } from "core/geometry";
import { jigDxf, jigSheets, jigSvg, pagesOf, type JigSheet } from "core/jigs";
import { cutFileAs, cutFileName, cutFiles, cutFileSize } from "core/jigs/cutFile";
import type { BookletPart, Planned } from "core/lists";
import { designHash, type Design } from "core/job";
import { designFor, type Ask } from "./heldDesigns";

/** A sheet by its title: how many pages it takes, and the name of its file. */
export interface SheetEntry {
  readonly title: string;
  readonly pages: number;
  readonly fileName: string;
}
/** All sheets of a design, and the hash they are issued under. */
export interface SheetList {
  readonly hash: string;
  readonly sheets: readonly SheetEntry[];
}
/** A page as it will come out of the printer: its drawing, y up, and its size, mm. */
export interface SheetPage {
  readonly svg: string;
  readonly size: readonly [number, number];
}

/** A cutter's file: the sheet in words, how many parts it has and what of the sheet they take, marks that the kerf leaves nothing of, the name of its file. */
export interface CutEntry {
  readonly name: string;
  readonly parts: number;
  readonly lost: readonly string[];
  readonly size: string;
  readonly fileName: string;
}

/** The sheets drawn last: a page that is turned draws nothing anew. */
let drawn: { readonly design: Design; readonly date: string; readonly sheets: readonly JigSheet[] } | undefined;
async function sheetsOf(ask: Ask, date: string): Promise<readonly JigSheet[]> {
  const design = await designFor(ask);
  if (drawn?.design !== design || drawn.date !== date) drawn = { design, date, sheets: jigSheets(design, date) };
  return drawn.sheets;
}

/** Draws the sheets of a job: of a large one that takes seconds. `date` is printed as given. */
export const drafter = {
  async list(ask: Ask, date: string, paper: PaperId): Promise<SheetList> {
    const sheets = (await sheetsOf(ask, date)).map((s) => ({
      title: s.words.title,
      pages: pagesOf(s, paper).pages.length,
      fileName: s.fileName,
    }));
    return { hash: designHash(await designFor(ask)), sheets };
  },
  /** A stick as a solid to print or to cast from; undefined where it is no closed surface. */
  async stl(ask: Ask, stick: string): Promise<Uint8Array | undefined> {
    const found = (await designFor(ask)).structures.flatMap((s) => s.resolved.sticks).find((k) => k.id === stick);
    return found && stlOf(found, found.member.role);
  },
  /** A stick with all that is glued up with it, as convex bodies by their corners. */
  async bodies(ask: Ask, stick: string): Promise<readonly (readonly Vec3[])[]> {
    const frame = (await designFor(ask)).structures.find((s) => stick.startsWith(`${s.structure.id}/`))!.resolved;
    return bodiesOf(gluedUpWith(frame, stick));
  },
  /** What a cutter takes off the job, sheet by sheet. */
  async cuts(ask: Ask, kerf: number): Promise<readonly CutEntry[]> {
    return cutFiles(await designFor(ask), kerf).map((f) => ({ name: f.name, parts: f.parts, lost: f.lost, size: cutFileSize(f), fileName: cutFileName(f) })); // prettier-ignore
  },
  /** One of them as a file. */
  async cutFile(ask: Ask, kerf: number, n: number, as: "svg" | "dxf"): Promise<Blob> {
    const text = cutFileAs(cutFiles(await designFor(ask), kerf)[n]!, as);
    return new Blob([text], { type: as === "svg" ? "image/svg+xml" : "image/vnd.dxf" });
  },
  /** A page of a sheet, both counted from 0; the last one where there are fewer. */
  async page(ask: Ask, date: string, paper: PaperId, sheet: number, page: number): Promise<SheetPage | undefined> {
    const s = (await sheetsOf(ask, date))[sheet];
    if (!s) return undefined;
    const plan = pagesOf(s, paper);
    const at = plan.pages[Math.min(page, plan.pages.length - 1)]!;
    return { svg: pageSvg(plan, at), size: [at.size[0], at.size[1]] };
  },
  /** A sheet as one drawing at full size. */
  async drawing(ask: Ask, date: string, sheet: number, as: "svg" | "dxf"): Promise<Blob> {
    const s = (await sheetsOf(ask, date))[sheet]!;
    return as === "svg"
      ? new Blob([jigSvg(s)], { type: "image/svg+xml" })
      : new Blob([jigDxf(s)], { type: "image/vnd.dxf" });
  },
  /** What is built, where and why, as one PDF. */
  async brief(ask: Ask, date: string, paper: PaperId, fonts: PdfFonts): Promise<Blob> {
    const [{ briefPages }, { toPdf }] = await Promise.all([import("core/lists"), import("core/drawing")]);
    const design = await designFor(ask);
    const plan = briefPages(design, paper, date);
    const options = { title: `${design.doc.name}: brief`, date: new Date(`${date}T00:00:00Z`), fonts };
    return new Blob([new Uint8Array(await toPdf([{ name: "Brief", plan }], options))], { type: "application/pdf" });
  },
  /** What was ticked of a job as one PDF. */
  async booklet(
    ask: Ask,
    date: string,
    paper: PaperId,
    ticked: readonly BookletPart[],
    planned: Planned,
    fonts: PdfFonts,
    correct?: PdfOptions["correct"],
  ): Promise<Blob> {
    const [{ bookletParts }, { toPdf }] = await Promise.all([import("core/lists"), import("core/drawing")]);
    const design = await designFor(ask);
    const parts = bookletParts(design, new Set(ticked), planned, paper, date);
    if (parts.length === 0) throw new Error("nothing that was ticked has anything in it");
    const options = { title: design.doc.name, date: new Date(`${date}T00:00:00Z`), fonts, ...(correct ? { correct } : {}) }; // prettier-ignore
    return new Blob([new Uint8Array(await toPdf(parts, options))], { type: "application/pdf" });
  },
  /** Some of the sheets as one PDF. */
  async pdf(
    ask: Ask,
    date: string,
    paper: PaperId,
    which: readonly number[],
    fonts: PdfFonts,
    correct?: PdfOptions["correct"],
  ): Promise<Blob> {
    // the writer is large, and loaded when something is printed
    const { jigPdf } = await import("core/jigs/jigPdf");
    const all = await sheetsOf(ask, date);
    const { doc } = await designFor(ask);
    const picked = which.flatMap((n) => all[n] ?? []);
    const bytes = await jigPdf(picked, paper, `${doc.name}: jigs`, new Date(`${date}T00:00:00Z`), fonts, correct);
    return new Blob([new Uint8Array(bytes)], { type: "application/pdf" });
  },
};
export type Drafter = typeof drafter;
