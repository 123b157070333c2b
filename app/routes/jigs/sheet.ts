import { readFileSync } from "node:fs";
import { createRequire } from "node:module";
import { PAPERS, type PaperId } from "core/drawing";
import { jigDxf, jigPdf, jigSheets, jigSvg } from "core/jigs";
import { isDay } from "core/units";
import { readDesign } from "~/data/jobs.server";
import type { Route } from "./+types/sheet";

const find = createRequire(`${process.cwd()}/`);
const font = (name: string): Uint8Array => readFileSync(find.resolve(name));
const TYPES: Record<string, string> = { pdf: "application/pdf", svg: "image/svg+xml", dxf: "image/vnd.dxf" };

/** A sheet as a file: jigs.pdf holds them all, NAME.svg and NAME.dxf one each. */
export async function loader({ params, request }: Route.LoaderArgs) {
  const design = readDesign(params.job);
  const [, name = "", ending = ""] = /^(.*)\.([a-z]+)$/.exec(params.file) ?? [];
  const gone = (what: string) => new Response(what, { status: 404 });
  if (!design || !Object.hasOwn(TYPES, ending)) return gone("There is no such sheet.");
  const query = new URL(request.url).searchParams;
  const asked = query.get("date") ?? "";
  const date = asked === "" ? new Date().toISOString().slice(0, 10) : asked;
  if (!isDay(date)) return new Response(`“${date.slice(0, 40)}” is no day; write it as 2026-05-31.`, { status: 400 });
  const paper = (query.get("paper") ?? "A4") as PaperId;
  if (!Object.hasOwn(PAPERS, paper))
    return gone(`Paper “${paper}” is not known; choose ${Object.keys(PAPERS).join(", ")}.`);
  const all = jigSheets(design, date);
  const wanted = query
    .get("sheets")
    ?.split(",")
    .map((n) => (/^\d{1,4}$/.test(n) ? Number(n) : -1));
  const sheets = wanted ? wanted.flatMap((n) => all[n] ?? []) : all;
  if (all.length === 0) return gone("Nothing is framed yet, so there is no jig.");
  if (sheets.length === 0) return gone("None of the sheets asked for is there any more; choose them again.");
  const send = (body: string | Uint8Array, file: string) =>
    new Response(typeof body === "string" ? body : new Uint8Array(body), {
      headers: {
        "content-type": TYPES[ending]!,
        "content-disposition": `attachment; filename="${file}.${ending}"`,
        "content-security-policy": "sandbox",
        "x-content-type-options": "nosniff",
      },
    });
  if (ending === "pdf" && name !== "jigs") return gone("All sheets are in jigs.pdf.");
  if (ending === "pdf") {
    const fonts = {
      label: font("@fontsource/barlow-condensed/files/barlow-condensed-latin-600-normal.woff"),
      text: font("@fontsource/source-sans-3/files/source-sans-3-latin-400-normal.woff"),
    };
    return send(
      await jigPdf(sheets, paper, `${design.doc.name}: jigs`, new Date(`${date}T00:00:00Z`), fonts),
      `${sheets[0]!.fileName}-${paper}`,
    );
  }
  const sheet = sheets.find((s) => s.fileName === name);
  if (!sheet) return gone(`There is no sheet “${name}”; there are ${sheets.map((s) => s.fileName).join(", ")}.`);
  return send(ending === "svg" ? jigSvg(sheet) : jigDxf(sheet), sheet.fileName);
}
