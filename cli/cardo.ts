import { Command, CommanderError } from "commander";
import { closeSync, createWriteStream, existsSync, fstatSync, openSync, readFileSync, renameSync, rmSync, writeFileSync, writeSync } from "node:fs"; // prettier-ignore
import { join, resolve } from "node:path";
import type { PaperId } from "../core/drawing";
import { isDay } from "../core/units/day";
import { tellIn } from "../core/units/tellIn";
import type { StickResult, StockLength } from "../core/cutting";
import type { Design, Issue } from "../core/job";

/** Bad input: one line on standard error, exit status 2. */
class BadInput extends Error {}
/** An outcome that cannot be had: exit status 3. */
const CANNOT = 3;

const READ: Readonly<Record<string, string>> = {
  ENOENT: "there is no such file",
  EISDIR: "it is a folder",
  EACCES: "it may not be read",
  ENOTDIR: "there is no such file",
  ENAMETOOLONG: "its name is too long",
};
const unread = (e: unknown): string => READ[(e as NodeJS.ErrnoException).code ?? ""] ?? "it could not be opened";
const readText = (file: string): string => {
  try {
    return readFileSync(file, "utf8");
  } catch (e) {
    throw new BadInput(`${file} cannot be read: ${unread(e)}.`);
  }
};
/** Whether a file can be read, without reading it. Errors: a sentence. */
function readBegin(file: string): void {
  try {
    const f = openSync(file, "r");
    const folder = fstatSync(f).isDirectory();
    closeSync(f);
    if (folder) throw Object.assign(new Error("folder"), { code: "EISDIR" });
  } catch (e) {
    throw new BadInput(`${file} cannot be read: ${unread(e)}.`);
  }
}
const readBytes = (file: string): Buffer => {
  readText(file);
  return readFileSync(file);
};
// each command loads what it needs, so that a bare stick problem starts at once
async function readDesign(file: string): Promise<{ design: Design; issues: readonly Issue[] }> {
  const { designOf, issuedMarks, readJobFile } = await import("../core/job");
  const { doc, issues } = readJobFile(readText(file));
  const design = designOf(doc, issuedMarks(issues));
  return { design, issues };
}
/** Fails on the first structure that could not be framed. */
function sound(d: Design): Design {
  const bad = d.structures.find((s) => s.fault);
  if (bad) throw new BadInput(`${bad.structure.name}: ${tellIn(bad.fault!, d.doc.brief.units)}`);
  return d;
}
/** Writes a result, whole, to standard output. Errors: a sentence where nobody reads it, or it has no room. */
function print(value: unknown): void {
  const bytes = Buffer.from(typeof value === "string" ? value : `${JSON.stringify(value, null, 1)}\n`);
  for (let at = 0; at < bytes.length;)
    try {
      at += writeSync(1, bytes, at);
    } catch (e) {
      const { code } = e as NodeJS.ErrnoException;
      // a pipe that is full for a moment
      if (code === "EAGAIN") Atomics.wait(new Int32Array(new SharedArrayBuffer(4)), 0, 0, 5);
      else if (code === "EPIPE") throw new BadInput("What reads the output closed it before all was written.");
      else throw new BadInput(`The output could not be written: ${onDisk(code) ?? (e as Error).message}.`);
    }
}
/** What a disk's refusal means, in words. */
const onDisk = (code: string | undefined): string | undefined =>
  ({
    ENOSPC: "the disk is full",
    EDQUOT: "the disk is full",
    EACCES: "it may not be written there",
    EPERM: "it may not be written there",
    EROFS: "the disk may only be read",
    EEXIST: "there is a file of that name",
    ENOTDIR: "a file stands where a folder should be",
    EISDIR: "there is a folder of that name",
    ENOENT: "there is no such folder",
    ENAMETOOLONG: "its name is too long",
    EIO: "the disk does not answer as it should",
  })[code ?? ""];
/** Writes into the folder of --out. Errors: a sentence with what is in the way. */
function onto(path: string, write: () => void): void {
  try {
    write();
  } catch (e) {
    throw new BadInput(`${path} cannot be written: ${onDisk((e as NodeJS.ErrnoException).code) ?? (e as Error).message}.`); // prettier-ignore
  }
}

const program = new Command("cardo")
  .description("Prototype drawings into cut lists, cutting plans and jigs")
  .exitOverride();
program.configureOutput({ writeErr: () => undefined });

program
  .command("frame <job>")
  .description("members, joints and nodes as JSON")
  .action(async (job: string) => {
    const { design } = await readDesign(job);
    print((await import("../core/job")).frameReport(sound(design)));
  });

program
  .command("pieces <job>")
  .description("the cut list")
  .option("--csv", "as CSV")
  .action(async (job: string, o: { csv?: boolean }) => {
    const { design } = await readDesign(job);
    const { cutRows, cutTable } = await import("../core/job");
    if (!o.csv) return print({ pieces: cutRows(sound(design)) });
    const { default: Papa } = await import("papaparse");
    const { columns, rows } = cutTable(sound(design));
    print(`${Papa.unparse({ fields: [...columns], data: rows.map((r) => [...r]) }, { newline: "\n" })}\n`);
  });

program
  .command("plan <job>")
  .description("which piece comes off which stick")
  .option("--drawer <file>", 'lengths on hand: {"items":{"scale/12x12":[{"length":279.4,"count":3,"cost":1}]}}')
  .action(async (job: string, o: { drawer?: string }) => {
    const { design, issues } = await readDesign(job);
    sound(design);
    const { loadLinearSolver, planItem } = await import("../core/cutting");
    const { cutStatuses, doneSticks, stickJobs } = await import("../core/job");
    const drawer = o.drawer ? await readDrawer(o.drawer) : {};
    const done = doneSticks(cutStatuses(design, issues), issues);
    const lp = await loadLinearSolver();
    const plans = [];
    for (const j of stickJobs(design, done))
      plans.push(await planItem(o.drawer ? { ...j, lengths: drawer[j.item.id] ?? [] } : j, lp));
    print({ plans });
    outcome(plans.map((p) => [p.name, p.result]));
  });

program
  .command("steps <job>")
  .description("the order of assembly, each step with what has to be done before")
  .option("--down", "upside down, from the deck")
  .action(async (job: string, o: { down?: boolean }) => {
    const { design } = await readDesign(job);
    sound(design);
    const { stepReport } = await import("./steps");
    print(stepReport(design, o.down ? "down" : "up"));
  });

/** What was asked for wrongly, as a sentence on the error output. */
function toldBadly<T>(f: () => T): T {
  try {
    return f();
  } catch (e) {
    throw new BadInput((e as Error).message);
  }
}
program
  .command("rescale <job> <scale>")
  .description("the job in another scale with that scale's stock, as a job file; what had to give on the error output")
  .action(async (job: string, id: string) => {
    const { design } = await readDesign(job);
    const { inScale } = await import("./rescale");
    const { doc, said } = toldBadly(() => inScale(design, id));
    for (const t of said) process.stderr.write(`${t}\n`);
    print(doc);
  });

program
  .command("fit <job>")
  .description("its structures fitted into the spot of its brief, or one given: what is given up, and their parameters")
  .option("--length <mm>", "length of the spot, model mm")
  .option("--depth <mm>", "depth of the spot, model mm")
  .action(async (job: string, o: { length?: string; depth?: string }) => {
    const { design } = await readDesign(job);
    const [{ compressBuilding }, { compress }] = await Promise.all([import("../core/structures"), import("../core/spot")]); // prettier-ignore
    const side = (text: string | undefined, own: number, name: string): number =>
      (text === undefined ? own : positive(text, name)) * design.scale.ratio;
    const spot = {
      length: side(o.length, design.doc.brief.spotLength, "--length"),
      depth: side(o.depth, design.doc.brief.spotDepth, "--depth"),
    };
    const fitted = design.structures.filter((s) => s.kind.offers?.includes("fit") || s.kind.shrinks);
    if (fitted.length === 0)
      throw new BadInput(`${job} has nothing that is fitted by whole parts; a single bent is not.`);
    if (spot.length <= 0 && spot.depth <= 0)
      throw new BadInput("The brief measures no spot; give --length or --depth in model mm.");
    print({
      fitted: fitted.map((s) => ({
        structure: s.structure.name,
        ...(s.kind.shrinks ? compress(s, { length: spot.length / design.scale.ratio, depth: spot.depth / design.scale.ratio }) : compressBuilding(s.variant.params as never, spot)), // prettier-ignore
      })),
    });
  });

program
  .command("solve <file>")
  .description("a bare stick problem")
  .option("--quick", "stop at the first plan")
  .action(async (file: string, o: { quick?: boolean }) => {
    const { loadLinearSolver, readProblem, solveSticks } = await import("../core/cutting");
    const problem = readProblem(parseJson(file));
    const result = await solveSticks(problem, o.quick ? {} : { lp: await loadLinearSolver() });
    print(result);
    outcome([["The problem", result]]);
  });

program
  .command("jigs <job>")
  .description("every sheet as PDF, SVG and DXF")
  .requiredOption("--out <dir>", "folder to write into")
  .option("--paper <size>", "A4, A3, Letter or Tabloid", "A4")
  .option("--date <date>", "date printed on the sheets", new Date().toISOString().slice(0, 10))
  .action(async (job: string, o: { out: string; paper: string; date: string }) => {
    const { PAPERS } = await import("../core/drawing");
    const { jigDxf, jigPdf, jigSheets, jigSvg } = await import("../core/jigs");
    if (!Object.hasOwn(PAPERS, o.paper))
      throw new BadInput(`Paper “${o.paper}” is not known; choose ${Object.keys(PAPERS).join(", ")}.`);
    if (!isDay(o.date)) throw new BadInput(`Date “${o.date}” is no day; write it as 2026-05-01.`);
    const sheets = jigSheets(sound((await readDesign(job)).design), o.date);
    const { makeFolder } = await import("../app/data/folder.server");
    onto(o.out, () => makeFolder(resolve(o.out)));
    const { pdfFonts } = await import("../app/data/fonts.server");
    const fonts = pdfFonts();
    const written: string[] = [];
    const write = (name: string, data: string | Uint8Array): void => {
      onto(join(o.out, name), () => writeFileSync(join(o.out, name), data));
      written.push(name);
    };
    const names = new Set<string>();
    for (const s of sheets) {
      let name = s.fileName;
      for (let n = 2; names.has(name); n++) name = `${s.fileName}-${n}`;
      names.add(name);
      write(
        `${name}.pdf`,
        await jigPdf([s], o.paper as PaperId, s.words.title, new Date(`${o.date}T00:00:00Z`), fonts),
      );
      write(`${name}.svg`, jigSvg(s));
      write(`${name}.dxf`, jigDxf(s));
    }
    print({ written });
  });

program
  .command("sheets <job>")
  .description("which part comes off which sheet, and the cuts in their order")
  .option("--by <how>", '"snap": from edge to edge, or "free"; what the job says where it is not given')
  .option("--apart <mm>", "left between parts, mm")
  .option("--edge <mm>", "left along the edges of a sheet, mm")
  .option("--card <sheet>", 'lays card mock-ups of the buildings out too, on a sheet such as "sheet/card/0.5"')
  .action(async (job: string, o: { by?: string; apart?: string; edge?: string; card?: string }) => {
    const { design, issues } = await readDesign(job);
    const report = (await import("./cutting")).sheetReport(sound(design), issues, o);
    print(report);
    if (report.sheets.some((s) => s.status !== "planned")) process.exitCode = CANNOT;
  });

program
  .command("setups <job>")
  .description("settings of the stop, longest first: what comes off each, and how it is cut")
  .action(async (job: string) => {
    const { design } = await readDesign(job);
    print((await import("./cutting")).setUpReport(sound(design)));
  });

program
  .command("jig <kind>")
  .description("a workshop jig as plates (SVG, DXF) and as a solid (STL); a kind that is not known lists them")
  .requiredOption("--out <dir>", "folder to write into")
  .option("--set <figures>", "figures that are not the usual ones: length=35,wide=2.3", "")
  .option("--kerf <mm>", "what the cutter takes away, mm", "0")
  .action(async (kind: string, o: { out: string; set: string; kerf: string }) => {
    const { files, ...report } = (await import("./cutting")).jigReport(kind, o.set, o.kerf);
    const { makeFolder } = await import("../app/data/folder.server");
    onto(o.out, () => makeFolder(resolve(o.out)));
    for (const [name, data] of Object.entries(files)) onto(join(o.out, name), () => writeFileSync(join(o.out, name), data)); // prettier-ignore
    print({ ...report, written: Object.keys(files) });
  });

program
  .command("cutter <job>")
  .description("the parts of each sheet as closed contours for a cutter, as SVG and DXF")
  .requiredOption("--out <dir>", "folder to write into")
  .option("--kerf <mm>", "what the cutter takes away, mm", "0")
  .action(async (job: string, o: { out: string; kerf: string }) => {
    const { cutFileAs, cutFileName, cutFiles, cutFileSize } = await import("../core/jigs/cutFile");
    const kerf = Number(o.kerf);
    if (!(kerf >= 0 && kerf <= 3)) throw new BadInput(`Kerf “${o.kerf}” is no width in mm from 0 to 3; write one such as 0.15.`); // prettier-ignore
    const files = cutFiles(sound((await readDesign(job)).design), kerf);
    if (files.length === 0) throw new BadInput(`Nothing in ${job} is cut from a sheet.`);
    const { makeFolder } = await import("../app/data/folder.server");
    onto(o.out, () => makeFolder(resolve(o.out)));
    const written = files.map((f) => {
      for (const as of ["svg", "dxf"] as const) {
        const path = join(o.out, `${cutFileName(f)}.${as}`);
        onto(path, () => writeFileSync(path, cutFileAs(f, as)));
      }
      return { file: cutFileName(f), sheet: f.name, parts: f.parts, takes: cutFileSize(f), ...(f.lost.length > 0 ? { closedByTheKerf: f.lost } : {}) }; // prettier-ignore
    });
    print({ kerf_mm: kerf, written });
  });

program
  .command("stl <job>")
  .description("each piece that is one solid as STL, to be printed or cast from")
  .requiredOption("--out <dir>", "folder to write into")
  .option("--marks <marks>", "only these marks, parted by commas")
  .option("--whole", "each with all that is glued up with it, as one solid: a master to be printed or cast from")
  .action(async (job: string, o: { out: string; marks?: string; whole?: true }) => {
    const { pieceSolids, wholeSolids } = await import("./solids");
    const { loadWelder } = await import("../core/drawing/welded");
    const { design } = await readDesign(job);
    const marks = o.marks?.split(",").map((m) => m.trim());
    const strange = marks?.filter((m) => !design.pieces.some((p) => p.mark === m)) ?? [];
    if (strange.length > 0) throw new BadInput(`No piece has the mark ${strange.join(", ")}; \`cardo pieces ${job}\` lists them.`); // prettier-ignore
    const { makeFolder } = await import("../app/data/folder.server");
    onto(o.out, () => makeFolder(resolve(o.out)));
    const { files, left } = o.whole ? wholeSolids(sound(design), await loadWelder(), marks) : pieceSolids(sound(design), marks); // prettier-ignore
    for (const f of files) onto(join(o.out, f.name), () => writeFileSync(join(o.out, f.name), f.bytes));
    print({ written: files.map((f) => f.name), left });
  });

program
  .command("check <job>")
  .description("findings as JSON")
  .action(async (job: string) => {
    const { design } = await readDesign(job);
    const { units } = design.doc.brief;
    const found = (await import("../core/checks")).findings(design);
    print({ findings: found.map((f) => ({ ...f, text: tellIn(f.text, units) })) });
  });

program
  .command("lines <drawing>")
  .description("an SVG, a DXF or a page of a PDF as lines, in JSON")
  .option("--page <n>", "page of a PDF", "1")
  .action(async (file: string, o: { page: string }) => {
    const { readSheet } = await import("./readSheet");
    print(await readSheet(readBytes(file), file, whole(o.page, "--page")));
  });

program
  .command("find <drawing>")
  .description("members found on a scan or a vector drawing, the surest first, in its pixels or units")
  .option("--per-inch <n>", "pixels or units to the prototype inch")
  .option("--page <n>", "page of a PDF", "1")
  .action(async (file: string, o: { perInch?: string; page: string }) => {
    const { findMembers } = await import("./readSheet");
    const perInch = o.perInch === undefined ? undefined : positive(o.perInch, "--per-inch");
    print({ members: await findMembers(readBytes(file), file, whole(o.page, "--page"), perInch) });
  });

program
  .command("rafters <rise>")
  .description("the framing square's line for a rise in 12, and a roof's rafters: theoretical and shortened")
  .option("--run <length>", "from the outside of the plate to under the ridge")
  .option("--length <length>", "of the walls of a hip roof")
  .option("--width <length>", "of the walls of a hip roof")
  .option("--overhang <length>", "of the eave")
  .option("--ridge <inches>", "thickness of the ridge")
  .option("--hip <inches>", "thickness of hips and valleys")
  .option("--jacks <inches>", "spacing of the jacks")
  .option("--depth <inches>", "of the rafters, for the bird's-mouth")
  .option("--seat <inches>", "of the bird's-mouth")
  .option("--scale <scale>", "also on the model: HO")
  .action(async (rise: string, o: Record<string, string>) =>
    print((await import("./carpentry")).rafterReport(positive(rise, "The rise in 12"), o)),
  );

program
  .command("stairs <rise>")
  .description("a straight flight to a level: risers, treads, stringer")
  .option("--run <length>", "to land in; the tread follows")
  .option("--tread <inches>", "the run follows")
  .option("--riser <inches>", "about as high as this")
  .option("--scale <scale>", "also on the model: HO")
  .action(async (rise: string, o: Record<string, string>) => print((await import("./carpentry")).stairReport(rise, o)));

/** Names the folder that the database and the pictures are in; it has to be there. */
function useData(folder: string | undefined): void {
  if (folder !== undefined) process.env.CARDO_DATA = folder;
}
program
  .command("backup <file>")
  .description("everything that is kept, as one zip")
  .option("--data <dir>", "folder of the database; else CARDO_DATA, else data")
  .action(async (file: string, o: { data?: string }) => {
    useData(o.data);
    const [{ writeBackup }, { dataDir, databaseFile }] = await Promise.all([import("../app/data/backup.server"), import("../app/data/db.server")]); // prettier-ignore
    if (!existsSync(databaseFile())) throw new BadInput(`${dataDir()} has no database of Cardo's, so there is nothing to back up.`); // prettier-ignore
    if (existsSync(file)) throw new BadInput(`${file} is there already. Name another file.`);
    const half = `${file}-half`;
    try {
      const manifest = await writeBackup(createWriteStream(half, { flags: "wx", flush: true }));
      renameSync(half, file);
      print(manifest);
    } catch (e) {
      rmSync(half, { force: true });
      throw await inWords(e, file);
    }
  });

program
  .command("restore <file>")
  .description("puts a backup in the place of everything; what was there stays beside it")
  .option("--data <dir>", "folder of the database; else CARDO_DATA, else data")
  .action(async (file: string, o: { data?: string }) => {
    useData(o.data);
    const [{ restoreBackup }, { whoServes }, { dataDir }] = await Promise.all([import("../app/data/restore.server"), import("../app/data/start.server"), import("../app/data/db.server")]); // prettier-ignore
    readBegin(file);
    if (whoServes() !== undefined) throw new BadInput(`Cardo is serving ${dataDir()}. Stop it first, or restore from its Shelf.`); // prettier-ignore
    try {
      print(await restoreBackup(file));
    } catch (e) {
      throw await inWords(e, dataDir());
    }
  });
/** A fault of the disk or the database under a sentence. */
async function inWords(e: unknown, where: string): Promise<Error> {
  const { faultWords } = await import("../app/data/faults.server");
  const words = onDisk((e as NodeJS.ErrnoException).code);
  return new BadInput(words ? `${where} cannot be written: ${words}.` : (faultWords(e) ?? (e as Error).message));
}

function positive(text: string, name: string): number {
  const n = Number(text);
  if (!(n > 0 && n <= 1e9)) throw new BadInput(`${name} is “${text}”; write a number above 0.`);
  return n;
}
function whole(text: string, name: string): number {
  if (!/^[1-9]\d{0,5}$/.test(text)) throw new BadInput(`${name} is “${text}”; write a whole number from 1 on.`);
  return Number(text);
}
function parseJson(file: string): unknown {
  const text = readText(file);
  try {
    return JSON.parse(text);
  } catch (e) {
    throw new BadInput(`${file} is not JSON: ${(e as Error).message.replace(/\s+/g, " ")}.`);
  }
}
async function readDrawer(file: string): Promise<Record<string, StockLength[]>> {
  const { readProblem } = await import("../core/cutting");
  const raw = parseJson(file) as { items?: Record<string, unknown> } | null;
  if (typeof raw?.items !== "object" || raw.items === null)
    throw new BadInput(`${file} is no drawer file: it lacks "items", the sticks on hand by stock item.`);
  return Object.fromEntries(
    Object.entries(raw.items).map(([id, stock]) => [id, [...readProblem({ kerf: 0, stock, demand: [] }).stock]]),
  );
}
function outcome(results: readonly (readonly [string, StickResult])[]): void {
  for (const [name, r] of results) {
    if (r.status === "too long")
      fail(`${name}: a piece of ${r.length} mm is longer than the longest stick, ${r.longest} mm.`, CANNOT);
    if (r.status === "not enough stock") fail(`${name}: the sticks on hand are ${r.short} mm short.`, CANNOT);
  }
}
function fail(sentence: string, status: number): void {
  process.stderr.write(`cardo: ${sentence}\n`);
  process.exitCode = status;
}

try {
  await program.parseAsync();
} catch (e) {
  if (e instanceof CommanderError && e.exitCode === 0) process.exitCode = 0;
  else if (e instanceof CommanderError)
    fail(
      `${e.code === "commander.help" ? "No command was given." : e.message.replace(/^error: /, "").replace(/\.?$/, ".")} Commands are frame, pieces, plan, solve, setups, sheets, jigs, jig, cutter, stl, lines, find, check, fit, rafters, stairs, backup and restore.`,
      2,
    );
  else fail((e as Error).message, 2);
}
